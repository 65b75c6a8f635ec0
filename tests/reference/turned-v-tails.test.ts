import { describe, expect, it, vi } from 'vitest';
import { makeSetup } from '../kit/setups';
import { runProduct } from '../kit/whole-product';

vi.setConfig({ testTimeout: 240_000 });

describe('the whole product: mountings × reversals × swapped plugs', () => {
  it.each(['v-tail', 'inverted-v-tail'] as const)('%s', (kind) => {
    const { cases, first } = runProduct(makeSetup(kind));
    expect(cases).toBeGreaterThan(300);
    expect(first).toBeGreaterThan(cases / 50);
  });
});
