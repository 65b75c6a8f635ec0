import type { Surface } from './schema/airframe';

/**
 * A part as each of its servos moves it, as if that servo were alone: the first as it stands in the Setup, then
 * those ganged with it.
 */
export const drivesOf = (surface: Surface): readonly Surface[] => [
  surface,
  ...(surface.ganged ?? []).map((own) => ({ ...surface, ...own })),
];

/** Where the servo and the linkage of a drive stand, from its part on. @param d its place among the drives */
export const driveAt = (d: number): readonly (string | number)[] =>
  d === 0 ? [] : ['ganged', d - 1];

/** Whether a servo has a hand in a part, alone or ganged with others. */
export const isMovedBy = (surface: Surface, servo: string): boolean =>
  drivesOf(surface).some((drive) => drive.servo === servo);
