import { expect } from 'vitest';
import { gangedOf } from '@/core/chain';
import { withServo } from '@/core/model';
import { airframe, planned, transmitterLike, unitLike, withLeads, type Shape } from './kit';

/** A heavy tug: two servos move its elevator, each on an output and a channel of its own. */
const heavyTug = () => {
  const two = withServo(airframe('conventional'), 'elevator');
  if (!two.ok) throw new Error(two.reason);
  const second = gangedOf(two.airframe)[0]!.servo.id;
  return withLeads(two.airframe, { [second]: 'elevator2' });
};

export const twoServos: Shape = {
  name: 'tug, two servos on its elevator',
  make: () =>
    planned('Goosander', {
      airframe: heavyTug(),
      unit: unitLike('menu-receiver', {}),
      transmitter: transmitterLike('line-sixteen'),
    }),
  drives(model) {
    const [ganged] = gangedOf(model.setup.airframe);
    const { switches } = model.setup.intents.program.modes!;
    for (const stick of [-100, 0, 60])
      for (const pitchDeg of [-40, 0, 25]) {
        model
          .fresh()
          .hands({ 'stick-elevator': stick, [switches[0]!]: 100, k1: 100 })
          .world({ pitchDeg });
        expect(Math.abs(ganged!.apartDeg(model.frame))).toBeLessThan(0.01);
      }
    expect(Math.abs(model.surface('elevator'))).toBeGreaterThan(5);
  },
};
