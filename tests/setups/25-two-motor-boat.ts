import { expect } from 'vitest';
import {
  airframe,
  builtWith,
  planned,
  transmitterLike,
  unitLike,
  withLeads,
  type Shape,
} from './kit';

/** A boat with two motors and two rudders: one gyro, motors against each other by a switch. */
export const twoMotorBoat: Shape = {
  name: 'boat with two motors and two rudders, motors against each other by a switch',
  make() {
    const hull = withLeads(builtWith(airframe('boat'), 'second-motor', 'two-rudders'), {
      'motor-second': 'throttle2',
    });
    return planned(
      'Merganser',
      {
        airframe: {
          ...hull,
          motors: hull.motors.map((m) => ({ ...m, reverse: 'reverses' as const })),
        },
        unit: unitLike('steering-lead', {}),
        transmitter: transmitterLike('surface-six'),
      },
      {
        wish: 'mixes',
        value: [
          {
            mix: 'differential-thrust',
            way: 'against',
            sharePct: 40,
            only: { control: 'sb', position: 1 },
          },
        ],
      },
    );
  },
  drives(model) {
    const { cut } = model.setup.intents.program;
    // Pulses tell ahead from astern.
    const pulses = (hands: Record<string, number>) => {
      model.fresh().hands({ [cut!.control]: 100, ...hands });
      return (['throttle', 'throttle2'] as const).map((f) => Math.round(model.sent(f)));
    };
    expect(pulses({ wheel: 100 })).toEqual([0, 0]);
    expect(pulses({ wheel: 100, sb: 100 })).toEqual([40, -40]);
    expect(pulses({ wheel: -100, sb: 100 })).toEqual([-40, 40]);
    expect(pulses({ wheel: -100, sb: 100, [cut!.control]: -100 })).toEqual([0, 0]);
    // One gyro turns both rudders.
    model.fresh().hands({ dial: 80 }).world({ yawRate: 60 });
    expect(model.surface('rudder')).toBeGreaterThan(1);
    expect(model.surface('rudder-second')).toBeCloseTo(model.surface('rudder'), 6);
  },
};
