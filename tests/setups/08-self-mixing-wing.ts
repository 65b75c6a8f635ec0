import { expect } from 'vitest';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A flying wing on a receiver that mixes: one stick reversed, the corrections right. */
export const selfMixingWing: Shape = {
  name: 'flying wing on a self-mixing receiver, one stick reversed',
  make() {
    const setup = planned('Jaeger', {
      airframe: airframe('flying-wing'),
      unit: unitLike('fixed-order-receiver', {
        gainLaw: 'fixed',
        arming: 'always',
        pinsAt: 'far-end',
        orientations: ['nose-up', 'nose-down'],
        mixSense: { roll: -1 },
      }),
      transmitter: transmitterLike('line-sixteen'),
    });
    // Its mixer takes roll reversed: that channel alone is reversed.
    setup.program.outputs.find((o) => o.carries === 'aileron')!.reversed = true;
    return checked(setup);
  },
  drives(model) {
    const [mode] = model.setup.intents.program.modes!.switches;
    model.fresh().hands({ [mode!]: -100, 'stick-aileron': 100 });
    expect(model.surface('elevon-right')).toBeLessThan(-3);
    expect(model.surface('elevon-left')).toBeGreaterThan(3);
    // Right wing dropped: right elevon down.
    model
      .fresh()
      .hands({ [mode!]: 0 })
      .world({ rollRate: 60 });
    expect(model.surface('elevon-right')).toBeGreaterThan(1);
  },
  cautions: { M30: 'a stick is reversed on purpose, and the corner of a capture moves with it' },
};
