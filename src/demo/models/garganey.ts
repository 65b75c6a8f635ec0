import type { Setup } from '../../core/setup';
import type { DemoModel } from '../kit';
import { airframe, planned, sized, transmitterLike, unitLike } from '../parts';

export const garganeySetup = (): Setup =>
  planned(
    'Garganey, flapped trainer',
    {
      airframe: sized(airframe('conventional', { flaps: true }), {
        spanMm: 1350,
        lengthMm: 1050,
        chordMm: 300,
        stance: 'nose-wheel',
        standingPitchDeg: 0,
      }),
      unit: unitLike('menu-receiver', {}),
      transmitter: transmitterLike('line-sixteen', { stepPct: 0.5 }),
    },
    { wish: 'flaps', value: { control: 'sb', downPct: [0, 40, 100] } },
    {
      wish: 'gain',
      value: { by: 'flap', control: 'sb', pct: [38, 46.5, 54], off: 'sc', offPositions: [0, 1] },
    },
  );

/** Gain that comes with the flaps, and one switch that turns all of it off. */
export function garganey(): DemoModel {
  const setup = {
    ...garganeySetup(),
    notes: 'Found over two evenings: less gain clean, more with the flaps down.',
  };
  return {
    versions: [{ setup, label: 'Chosen at the table', at: '2026-10-30T18:05:00.000Z' }],
    seen: [],
    log: [],
  };
}
