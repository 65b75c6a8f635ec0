import { describe, expect, it } from 'vitest';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { planChannels, type PlanRequest } from '@/core/plan';
import { AIRFRAME_KINDS } from '@/core/setup';
import { bruteForce } from '../kit/brute-force';

/** Small transmitters, so that trying everything stays possible. */
const SMALL = ['switch-value-six', 'function-eight', 'line-eight', 'surface-four'] as const;

describe('the planner gives up no more than a search through everything would', () => {
  const cases = SMALL.flatMap((tx) =>
    Object.keys(UNITS).flatMap((unit) =>
      AIRFRAME_KINDS.flatMap((kind) => [false, true].map((full) => ({ tx, unit, kind, full }))),
    ),
  );
  it.each(SMALL)('%s', (tx) => {
    let compared = 0;
    for (const c of cases.filter((k) => k.tx === tx)) {
      const usual = usualAnswers(c.kind);
      const request: PlanRequest = {
        airframe: buildAirframe({
          ...usual,
          ailerons: c.full && usual.ailerons !== 'none' ? 'two-outputs' : usual.ailerons,
          flaps: c.full,
          gear: c.full && tx === 'switch-value-six',
        }),
        unit: UNITS[c.unit]!,
        transmitter: TRANSMITTERS[tx]!,
        wishes: c.full && tx !== 'function-eight' && tx !== 'line-eight' ? ['recovery'] : [],
        pins: [],
      };
      const plan = planChannels(request);
      // What does not suit or has no plug is refused before channels are thought of.
      if (plan.impossible.some((r) => !/need more than/.test(r))) continue;
      const cost = plan.rows.length === 0 ? Infinity : plan.taken.reduce((s, w) => s + w.weight, 0);
      expect(cost, JSON.stringify(c)).toBe(bruteForce(request).cost);
      compared += 1;
    }
    expect(compared).toBeGreaterThanOrEqual(tx === 'surface-four' ? 2 : 30);
  });
});
