import type { Axis } from '@/core/setup';

/** The stick that turns the model about an axis. */
export const AXIS_STICK = {
  roll: 'aileron stick',
  pitch: 'elevator stick',
  yaw: 'rudder stick',
} as const satisfies Record<Axis, string>;
