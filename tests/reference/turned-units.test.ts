import { describe, expect, it, vi } from 'vitest';
import { makeSetup } from '../kit/setups';
import { runProduct } from '../kit/whole-product';

vi.setConfig({ testTimeout: 240_000 });

describe('the whole product: mountings × reversals × swapped plugs', () => {
  // A T-tail answers just as a conventional one does, surface by surface: of its pairs of a mounting
  // with swapped plugs every seventh is looked at, of all else each one.
  it.each([
    ['conventional', 1],
    ['t-tail', 7],
    ['flying-wing', 1],
    ['three-channel', 1],
  ] as const)('%s', (kind, stride) => {
    const { cases, first } = runProduct(makeSetup(kind), stride);
    expect(cases).toBeGreaterThan(300);
    expect(first).toBeGreaterThan(cases / 50);
  });
  it.each(['car', 'boat'] as const)('%s', (kind) => {
    const { cases } = runProduct(makeSetup(kind, 'steering-receiver', 'surface-four'));
    expect(cases).toBeGreaterThanOrEqual(24 * 4);
  });
});
