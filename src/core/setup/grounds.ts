import type { Unit, UnitGround, UnitGrounds, UnitSettings, UnitTraits } from './schema/unit';

/** A line of a unit's description: a trait, or a setting. */
export type GroundKey =
  readonly ['traits', keyof UnitTraits] | readonly ['settings', keyof UnitSettings];

type Grounded = Pick<Unit, 'grounds'>;

/** What a line of a description stands on; the leaflet where nothing is said. */
export const groundOf = ({ grounds }: Grounded, [part, key]: GroundKey): UnitGround =>
  (grounds?.[part] as Partial<Record<string, UnitGround>> | undefined)?.[key] ?? 'leaflet';

/** A unit of which some lines stand on something else. */
export function withGround<U extends Grounded>(
  unit: U,
  lines: readonly GroundKey[],
  ground: UnitGround,
): U {
  const grounds: UnitGrounds = { ...unit.grounds };
  for (const [part, key] of lines) grounds[part] = { ...grounds[part], [key]: ground };
  return { ...unit, grounds };
}
