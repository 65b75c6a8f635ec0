import type { UnitTraits } from './schema/unit';
import type { Airframe, Surface } from './schema/airframe';
import { roleOf } from './functions';

/** Whether a switch works a surface, not a stick: flaps, gear, a brake, anything on such a servo. */
export const isDevice = ({ servos }: Airframe, { role, servo }: Surface): boolean =>
  role === 'flap' ||
  role === 'gear' ||
  role === 'brake' ||
  servos.some((s) => s.id === servo && roleOf(s.carries) === 'device');

/** Whether a unit is made for what steers on wheels or on water. */
export const isSteeringUnit = ({ traits }: { traits: Pick<UnitTraits, 'ports'> }): boolean =>
  traits.ports.some((p) => p.labelledFor === 'steering');

/** Whether it takes direction and both ends from the steering moved left, then right. */
export const taughtByDriving = (unit: {
  traits: Pick<UnitTraits, 'ports' | 'correctionDirection'>;
}): boolean => unit.traits.correctionDirection === 'learned' && isSteeringUnit(unit);

/** How such a unit learns; started from the right it takes left for right. */
export const LEFT_FIRST = 'full left and hold until it centres itself, then full right';
