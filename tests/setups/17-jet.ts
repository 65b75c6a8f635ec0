import { expect } from 'vitest';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A jet with retracts and flaps on a bank of their own; unit first, then sticks; spoken gain. */
export const jet: Shape = {
  name: 'jet, retracts and flaps on an unsteadied bank',
  make() {
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
      'Gyrfalcon',
      {
        airframe: airframe('conventional', { ailerons: 'two-outputs', flaps: true, gear: true }),
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
  },
  drives(model) {
    const wish = model.setup.intents.program.gain!;
    const knob = wish.by === 'knob' ? wish.control : '';
    // Half of the knob, shifted by half.
    expect(
      [-100, 0, 100].map((k) =>
        model
          .fresh()
          .hands({ [knob]: k })
          .sent('gain'),
      ),
    ).toEqual([0, 50, 100]);
    expect([-100, 0, 100].map((sa) => model.fresh().hands({ sa }).mode)).toEqual([
      'off',
      'rate',
      'level',
    ]);
    // Flaps creep, and lie in the wing at rest.
    expect(model.fresh().surface('flap-left')).toBeCloseTo(0, 1);
    const part = model.hands({ sc: 100 }, 0.5).surface('flap-left');
    expect(model.hands({ sc: 100 }, 3).surface('flap-left')).toBeGreaterThan(part + 5);
    expect(model.setup.unit.settings.banks).toEqual([1]);
    const moved = model.setup.program.callouts.find((c) => c.moved)!;
    const gain = model.setup.program.outputs.find((o) => o.carries === 'gain')!.channel;
    expect(moved.reading).toEqual({ kind: 'channel', channel: gain });
  },
};
