import { expect } from 'vitest';
import { turnstoneSetup } from '@/demo/models/turnstone';
import type { Shape } from './kit';

/** A gyro in one lead with two servos behind it; gain found with a slider, then on a switch. */
export const singleAxis: Shape = {
  name: 'single-axis gyro, two servos',
  make: turnstoneSetup,
  cautions: {
    M33: 'a model that skids: the heading is held on purpose, on one side of the switch',
  },
  drives(model) {
    const at = (sb: number) => model.fresh().hands({ sb });
    expect([-100, 0, 100].map((sb) => at(sb).mode)).toEqual(['rate', 'off', 'hold']);
    expect(at(0).gain('yaw')).toBe(0);
    expect(Math.abs(at(-100).gain('yaw') - 160)).toBeLessThanOrEqual(2);
    expect(Math.abs(at(100).gain('yaw') - 250)).toBeLessThanOrEqual(2);
    // Each output answers by its own maximum, and the second has its own centre.
    const still = at(-100).surface('rudder-2');
    at(-100).world({ yawRate: 20 });
    expect(Math.abs(model.surface('rudder'))).toBeGreaterThan(1);
    expect(Math.abs(model.surface('rudder'))).not.toBeCloseTo(
      Math.abs(model.surface('rudder-2') - still),
      1,
    );
    // Held only where that output and side allow it.
    at(100).world({ yawRate: 20 }, 0.5).world({ yawRate: 0 }, 0.02);
    expect(Math.abs(model.surface('rudder'))).toBeGreaterThan(1);
  },
};
