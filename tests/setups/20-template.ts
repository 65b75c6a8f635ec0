import { expect } from 'vitest';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A ready-made template with level switched off inside: the order is changed so that it is there. */
export const template: Shape = {
  name: 'ready-made template, level enabled',
  make: () =>
    planned(
      'Sanderling',
      {
        airframe: airframe('conventional'),
        unit: unitLike('menu-receiver', {}, { slots: ['off', 'rate', 'off'] }),
        transmitter: transmitterLike('line-sixteen'),
      },
      { wish: 'modes', value: { switches: ['sa'], table: ['off', 'rate', 'level'] } },
    ),
  drives(model) {
    expect([-100, 0, 100].map((sa) => model.fresh().hands({ sa }).mode)).toEqual([
      'off',
      'rate',
      'level',
    ]);
    expect(model.setup.unit.shipped!.slots).toEqual(['off', 'rate', 'off']);
    expect(model.setup.unit.settings.slots).toEqual(['off', 'rate', 'level']);
  },
};
