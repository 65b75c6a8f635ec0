import { pointer } from './problem';
import type { Unit, UnitGround, UnitSettings, UnitTraits } from './schema/unit';

/** A line of a unit's description: a trait, or a setting. */
export type GroundKey =
  readonly ['traits', keyof UnitTraits] | readonly ['settings', keyof UnitSettings];

/** What a line of a description stands on; the leaflet where nothing is said. */
export function groundOf({ grounds }: Pick<Unit, 'grounds'>, [part, key]: GroundKey): UnitGround {
  const said =
    part === 'traits'
      ? grounds?.traits?.[key as keyof UnitTraits]
      : grounds?.settings?.[key as keyof UnitSettings];
  return said ?? 'leaflet';
}

/** Says what a line stands on, as a patch of the unit. */
export function groundSaid(
  unit: Pick<Unit, 'grounds'>,
  [part, key]: GroundKey,
  ground: UnitGround,
): { op: 'add'; path: string; value: unknown } {
  if (!unit.grounds) return { op: 'add', path: '/grounds', value: { [part]: { [key]: ground } } };
  if (!unit.grounds[part])
    return { op: 'add', path: pointer('grounds', part), value: { [key]: ground } };
  return { op: 'add', path: pointer('grounds', part, key), value: ground };
}
