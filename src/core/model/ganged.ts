import { steersBy } from '../linkage';
import { drivesOf, isMovedBy, type Airframe, type Servo, type Surface } from '../setup';
import type { Changed } from './moved';
import { freeId, freeLabel, sensible } from './put';

/** Servos that may move one part together. */
export const MOST_GANGED = 4;

/** What a further servo of a part is called before it has a number of its own. */
const servoLabel = ({ label }: Surface): string => `${label} servo`;

/**
 * The model with one more servo on a part, like its first and turning it the same way; its lead joins those that
 * carry the same.
 */
export function withServo(airframe: Airframe, id: string): Changed {
  const own = partOf(airframe, id);
  const drives = drivesOf(own);
  if (drives.length >= MOST_GANGED)
    return { ok: false, reason: `a part can have ${MOST_GANGED} servos at most` };
  const first = airframe.servos.find((s) => s.id === own.servo)!;
  if (steersBy(airframe, own))
    return { ok: false, reason: 'a wheel of a measured steering has no rods of its own' };
  const servo: Servo = {
    ...first,
    id: freeId([...airframe.surfaces, ...airframe.servos], own.id),
    label: freeLabel(airframe.servos, servoLabel(own)),
    rotation: 'normal',
  };
  const linkage = { ...own.linkage, sense: sensible(airframe, own, servo.carries) };
  return {
    ok: true,
    airframe: {
      ...airframe,
      surfaces: airframe.surfaces.map((s) =>
        s === own ? { ...s, ganged: [...(s.ganged ?? []), { servo: servo.id, linkage }] } : s,
      ),
      servos: [...airframe.servos, servo],
    },
  };
}

/** The model without one of the further servos of a part. */
export function withoutServo(airframe: Airframe, id: string, servo: string): Changed {
  const own = partOf(airframe, id);
  const kept = (own.ganged ?? []).filter((g) => g.servo !== servo);
  const surfaces = airframe.surfaces.map((s) => (s === own ? withGang(s, kept) : s));
  return { ok: true, airframe: { ...airframe, surfaces, servos: busy(airframe, surfaces) } };
}

/** A part with exactly these further servos. */
export function withGang(surface: Surface, ganged: NonNullable<Surface['ganged']>): Surface {
  const { ganged: _, ...alone } = surface;
  return ganged.length > 0 ? { ...alone, ganged } : alone;
}

/** The servos of a model whose parts are now these: one that moved parts and moves none now went with them. */
export const busy = (
  airframe: Pick<Airframe, 'servos' | 'surfaces'>,
  surfaces: readonly Surface[],
): Servo[] =>
  airframe.servos.filter(
    ({ id }) =>
      surfaces.some((s) => isMovedBy(s, id)) || !airframe.surfaces.some((s) => isMovedBy(s, id)),
  );

function partOf(airframe: Airframe, id: string): Surface {
  const own = airframe.surfaces.find((s) => s.id === id);
  if (!own) throw new RangeError(`there is no part "${id}"`);
  return own;
}
