import { expect } from 'vitest';
import { isStabilized } from '@/core/directions';
import { airframe, planned, transmitterLike, unitLike, withLeads, type Shape } from './kit';

/** A twin with a throttle channel for each motor, turned on the ground by its motors. */
export const twin: Shape = {
  name: 'twin, differential thrust on the ground',
  make: () =>
    planned(
      'Goldeneye',
      {
        airframe: withLeads(airframe('conventional', { motors: 2 }), {
          'motor-right': 'throttle2',
        }),
        unit: unitLike('menu-receiver', {}),
        transmitter: transmitterLike('line-sixteen'),
      },
      {
        wish: 'mixes',
        value: [
          {
            mix: 'differential-thrust',
            way: 'slower',
            sharePct: 60,
            only: { control: 'sd', position: 2 },
          },
        ],
      },
    ),
  drives(model) {
    const { cut } = model.setup.intents.program;
    const motors = (hands: Record<string, number>) => {
      model.fresh().hands({ [cut!.control]: 100, 'stick-throttle': 0, ...hands });
      return [...model.frame.motorPct].map(Math.round);
    };
    const [even] = motors({});
    expect(motors({ 'stick-rudder': 100 })).toEqual([even, even]);
    const [outer, inner] = motors({ 'stick-rudder': 100, sd: 100 });
    expect(outer).toBe(even);
    expect(inner).toBeLessThan(even! - 40);
    expect(motors({ 'stick-rudder': -100, sd: 100 })).toEqual([inner, outer]);
    // The gyro never touches a motor.
    model.world({ yawRate: 90 });
    expect([...model.frame.motorPct].map(Math.round)).toEqual([inner, outer]);
    expect(model.setup.airframe.surfaces.every((s) => isStabilized(model.setup, s))).toBe(true);
  },
};
