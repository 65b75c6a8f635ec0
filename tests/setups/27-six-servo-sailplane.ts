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

/** A sailplane without a motor: a servo for every surface, crow on the stick that has nothing else to do. */
export const sixServos: Shape = {
  name: 'six-servo sailplane, crow on the throttle stick',
  make: () =>
    planned(
      'Harrier',
      {
        airframe: withLeads(
          builtWith(
            airframe('conventional', { ailerons: 'two-outputs', flaps: true, motors: 0 }),
            'flap-servos',
          ),
          { 'flap-second': 'flap2' },
        ),
        unit: unitLike('menu-receiver', {}),
        transmitter: transmitterLike('line-sixteen'),
      },
      {
        wish: 'mixes',
        value: [
          {
            mix: 'crow',
            control: 'stick-throttle',
            aileronUpPct: 50,
            flapDownPct: 80,
            elevatorDownPct: 15,
          },
        ],
      },
    ),
  drives(model) {
    const rest = () => model.fresh();
    const before = ['aileron-left', 'aileron-right', 'flap-left', 'flap-right', 'elevator'].map(
      (id) => rest().surface(id),
    );
    rest().hands({ 'stick-throttle': 100 });
    const [al, ar, fl, fr, el] = [
      'aileron-left',
      'aileron-right',
      'flap-left',
      'flap-right',
      'elevator',
    ].map((id, i) => model.surface(id) - before[i]!);
    expect(al).toBeLessThan(-8);
    expect(ar).toBeCloseTo(al!, 0);
    expect(fl).toBeGreaterThan(15);
    expect(fr).toBeCloseTo(fl!, 0);
    expect(el).toBeGreaterThan(2);
    // Both ailerons still answer the stick, each way.
    const roll = (stick: number) => {
      rest().hands({ 'stick-throttle': 100, 'stick-aileron': stick });
      return model.surface('aileron-left') - model.surface('aileron-right');
    };
    expect(roll(100)).toBeGreaterThan(10);
    expect(roll(-100)).toBeLessThan(-10);
    expect(model.setup.intents.program.cut).toBeUndefined();
  },
};
