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

/** A flying wing whose rudders, in its winglets, move outward only: as drag. */
export const wingletRudders: Shape = {
  name: 'flying wing, rudders in the winglets move outward only',
  make: () =>
    planned(
      'Skua',
      {
        airframe: withLeads(builtWith(airframe('flying-wing', { rudder: true }), 'two-rudders'), {
          'rudder-second': 'rudder2',
        }),
        unit: unitLike('menu-receiver', {}),
        transmitter: transmitterLike('line-sixteen'),
      },
      { wish: 'mixes', value: [{ mix: 'outward-rudders' }] },
    ),
  drives(model) {
    const at = (stick: number) => {
      model.fresh().hands({ 'stick-rudder': stick });
      return [model.surface('rudder'), model.surface('rudder-second')] as const;
    };
    const [left0, right0] = at(0);
    expect(at(100)[0]).toBeCloseTo(left0, 6);
    expect(at(100)[1]).toBeLessThan(right0 - 10);
    expect(at(-100)[0]).toBeGreaterThan(left0 + 10);
    expect(at(-100)[1]).toBeCloseTo(right0, 6);
  },
};
