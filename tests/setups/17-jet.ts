import { expect } from 'vitest';
import { gyrfalconSetup } from '@/demo/models/gyrfalcon';
import type { Shape } from './kit';

/** A jet with retracts and flaps on a bank of their own; unit first, then sticks; spoken gain. */
export const jet: Shape = {
  name: 'jet, retracts and flaps on an unsteadied bank',
  make: gyrfalconSetup,
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
