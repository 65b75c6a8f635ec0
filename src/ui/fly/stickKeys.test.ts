import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { keyOf, moveSticks, sticksOf } from './stickKeys';

describe('keys that fly', () => {
  const sticks = sticksOf(makeSetup());
  it('each pair of keys has its stick; where there is no aileron the rudder is turned by the arrows', () => {
    expect(sticks).toEqual({
      aside: 'stick-aileron',
      fore: 'stick-elevator',
      rudder: 'stick-rudder',
      throttle: 'stick-throttle',
    });
    expect(sticksOf(makeSetup('three-channel')).aside).toBe('stick-rudder');
  });
  it.each([
    ['ArrowLeft', { 'stick-aileron': -25 }],
    ['ArrowRight', { 'stick-aileron': 25 }],
    ['ArrowUp', { 'stick-elevator': 25 }],
    ['ArrowDown', { 'stick-elevator': -25 }],
    ['A', { 'stick-rudder': -25 }],
    ['d', { 'stick-rudder': 25 }],
    ['W', { 'stick-throttle': 8 }],
    ['s', { 'stick-throttle': -8 }],
    ['x', {}],
  ])('%s for a tenth of a second: %j', (key, moved) =>
    expect(moveSticks(sticks, {}, new Set([keyOf({ key })]), new Set(), 0.1)).toEqual(moved),
  );
  it('let go, a stick springs back and the throttle stays; a finger’s stick is left alone', () => {
    const led = new Set<'aside' | 'fore' | 'rudder' | 'throttle'>();
    const values: Record<string, number> = { 'stick-throttle': -40, 'stick-rudder': 70 };
    const put = (keys: string[], forS: number) =>
      Object.assign(values, moveSticks(sticks, values, new Set(keys), led, forS));
    put(['ArrowRight', 'w'], 0.2);
    expect(values).toEqual({ 'stick-throttle': -24, 'stick-rudder': 70, 'stick-aileron': 50 });
    put([], 0.05);
    expect(values).toEqual({ 'stick-throttle': -24, 'stick-rudder': 70, 'stick-aileron': 25 });
    put([], 0.1);
    put([], 0.1);
    expect(values).toEqual({ 'stick-throttle': -24, 'stick-rudder': 70, 'stick-aileron': 0 });
    expect(led.size).toBe(0);
    put(['ArrowLeft'], 9);
    expect(values['stick-aileron']).toBe(-100);
  });
});
