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

/** A canard whose wheel has a servo of its own: the elevator ahead of the wing goes down to lift the nose. */
export const canard: Shape = {
  name: 'canard, the wheel on a servo of its own',
  make: () =>
    planned('Smew', {
      airframe: withLeads(builtWith(airframe('conventional', { wheel: 'separate' }), 'canard'), {}),
      unit: unitLike('menu-receiver', {}),
      transmitter: transmitterLike('line-sixteen'),
    }),
  drives(model) {
    const pulled = model.fresh().hands({ 'stick-elevator': -100 }).surface('elevator');
    expect(pulled).toBeGreaterThan(10);
    // Nose down: the correction lifts it.
    const { switches } = model.setup.intents.program.modes!;
    model
      .fresh()
      .hands({ [switches[0]!]: 100, k1: 100 })
      .world({ pitchDeg: -40 });
    expect(model.surface('elevator')).toBeGreaterThan(2);
  },
};
