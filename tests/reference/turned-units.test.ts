import { describe, expect, it } from 'vitest';
import { makeSetup } from '../kit/setups';
import { FULL } from '../kit/share';
import { runProduct } from '../kit/whole-product';

/** Of the whole product, as much as a usual run takes. */
const EVERY = 720;

describe('the whole product: mountings × reversals × swapped plugs', () => {
  it.each([
    'conventional',
    't-tail',
    'flying-wing',
    'three-channel',
    'v-tail',
    'inverted-v-tail',
  ] as const)('%s', (kind) => {
    const { cases, first, of } = runProduct(makeSetup(kind), EVERY);
    expect(of).toBeGreaterThan(300);
    expect(cases).toBeGreaterThanOrEqual(Math.floor(of / (FULL ? 1 : EVERY)));
    // How often the truth alone comes first is counted for the whole only.
    if (FULL) expect(first).toBeGreaterThan(cases / 50);
  });
  it.each(['car', 'boat'] as const)('%s', (kind) => {
    const { cases, of } = runProduct(makeSetup(kind, 'steering-receiver', 'surface-four'), 16);
    expect(of).toBeGreaterThanOrEqual(24 * 4);
    expect(cases).toBeGreaterThanOrEqual(Math.floor(of / (FULL ? 1 : 16)));
  });
});
