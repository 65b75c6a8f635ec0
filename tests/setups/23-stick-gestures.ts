import { expect } from 'vitest';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A foam wing whose stabilizer has nothing on it to press: level, wing type and directions by stick corners. */
export const stickGestures: Shape = {
  name: 'foam wing, set by stick gestures alone',
  make: () =>
    planned('Dunlin', {
      airframe: airframe('flying-wing'),
      unit: unitLike('gesture-stabilizer', {}),
      transmitter: transmitterLike('line-sixteen'),
    }),
  drives(model) {
    expect(model.setup.unit.settings.wingType).toBe('delta');
    // Its sticks arrive unmixed; the unit makes the elevons of them.
    const pulled = model.fresh().hands({ 'stick-elevator': -100 });
    expect(pulled.surface('elevon-left')).toBeLessThan(-10);
    expect(pulled.surface('elevon-right')).toBeLessThan(-10);
    const right = model.fresh().hands({ 'stick-aileron': 100 });
    expect(right.surface('elevon-left')).toBeGreaterThan(5);
    expect(right.surface('elevon-right')).toBeLessThan(-5);
  },
};
