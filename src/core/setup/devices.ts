import type { Airframe, Surface } from './airframe';
import { roleOf } from './functions';

/** Whether a switch works a surface, not a stick: flaps, gear, a brake, anything on such a servo. */
export const isDevice = ({ servos }: Airframe, { role, servo }: Surface): boolean =>
  role === 'flap' ||
  role === 'gear' ||
  role === 'brake' ||
  servos.some((s) => s.id === servo && roleOf(s.carries) === 'device');
