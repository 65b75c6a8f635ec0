import type { Setup } from '../../core/setup';
import type { DemoModel } from '../kit';
import type { Airframe } from '../../core/setup';
import { airframe, checked, planned, sized, transmitterLike, unitLike } from '../parts';

/** Its fan turns inside the body, behind the balance point. */
const ducted = (plain: Airframe): Airframe => ({
  ...plain,
  motors: plain.motors.map((m) => ({
    ...m,
    place: { forwardMm: -200, rightMm: 0, downMm: 0, upDeg: 0, rightDeg: 0 },
  })),
});

export function gyrfalconSetup(): Setup {
  const unit = unitLike('menu-receiver', {
    modes: ['level', 'rate', 'off'],
    gainLaw: 'zero-to-full',
    stabilizedOutputs: 'two-banks',
    ports: Array.from({ length: 10 }, (_, i) => ({
      id: `${i + 1}`,
      label: `Port ${i + 1}`,
      canStabilize: true,
      bank: i < 5 ? 1 : 2,
    })),
    panic: 'mode-band',
  });
  const setup = planned(
    'Gyrfalcon, ducted-fan jet',
    {
      airframe: ducted(
        sized(airframe('conventional', { ailerons: 'two-outputs', flaps: true, gear: true }), {
          spanMm: 1050,
          lengthMm: 1400,
          chordMm: 260,
          massG: 3200,
          cruiseMps: 38,
          approachMps: 17,
          glideRatio: 7,
          stance: 'nose-wheel',
          standingPitchDeg: 0,
        }),
      ),
      unit,
      transmitter: transmitterLike('line-sixteen'),
    },
    { wish: 'modes', value: { switches: ['sa'], table: ['off', 'rate', 'level'] } },
    { wish: 'voice', value: { modes: true, gainMoved: true } },
    { wish: 'gear', value: { control: 'sh', seconds: 3 } },
    { wish: 'flaps', value: { control: 'sc', downPct: [0, 45, 100], seconds: 2 } },
  );
  setup.intents.school = 'unit-first';
  for (const o of setup.program.outputs)
    if (o.carries === 'aileron' || o.carries === 'aileron2')
      Object.assign(o, { minPct: -82, maxPct: 82 });
  return checked(setup);
}

/** The jet: retracts and flaps on a bank of their own, the gain spoken. */
export function gyrfalcon(): DemoModel {
  const setup = { ...gyrfalconSetup(), notes: 'Only from the long runway across the bay.' };
  return {
    versions: [{ setup, label: 'Chosen at the table', at: '2026-09-27T09:40:00.000Z' }],
    seen: [],
    log: [],
  };
}
