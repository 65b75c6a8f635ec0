import { isUpright, MOVEMENT_WORDS } from '../chain';
import { AXES, kindOf, type Airframe, type Motor, type Place, type Surface } from '../setup';
import { authority, idleAxes } from './moment';
import { motorArms } from './motors';
import { isOnWing, isSamePlace, placeOf } from './place';

export type Changed = { ok: true; airframe: Airframe } | { ok: false; reason: string };

/** A thrust line that passes the balance point nearer than this share of the span turns nothing to speak of. */
const LEAST_SHARE = 0.03;

const OTHER = { left: 'right', right: 'left', centre: undefined } as const;

const mirrored = (place: Place): Place => ({ ...place, rightMm: -place.rightMm });

/** The part that stands across from this one, as its mirror image. */
function twinOf(airframe: Airframe, surface: Surface): Surface | undefined {
  const place = mirrored(placeOf(airframe, surface));
  return airframe.surfaces.find(
    (s) =>
      s.role === surface.role &&
      s.side === OTHER[surface.side] &&
      isSamePlace(placeOf(airframe, s), place),
  );
}

/**
 * A part put somewhere else; the one across from it goes with it.
 * @param change millimetres and degrees, within the ranges of the format
 */
export function movedPart(airframe: Airframe, id: string, change: Partial<Place>): Changed {
  const own = airframe.surfaces.find((s) => s.id === id);
  if (!own) throw new RangeError(`there is no part "${id}"`);
  const twin = twinOf(airframe, own);
  const place = { ...placeOf(airframe, own), ...change };
  const { spanMm } = airframe.measures;
  if (isOnWing(own) && Math.abs(place.rightMm) - place.spanMm / 2 >= spanMm / 2)
    return {
      ok: false,
      reason: `${own.label.toLowerCase()} would be past the wing tip, ${(spanMm / 2).toFixed(0)} mm from the middle: is the span measured?`,
    };
  const [idle] = idleAxes(airframe, { ...own, place });
  if (idle)
    return {
      ok: false,
      reason: `${own.label.toLowerCase()} would turn nothing there: it needs a lever about the balance point`,
    };
  return {
    ok: true,
    airframe: {
      ...airframe,
      surfaces: airframe.surfaces.map((s) =>
        s === own ? { ...s, place } : s === twin ? { ...s, place: mirrored(place) } : s,
      ),
    },
  };
}

/** What a part does where it is: "down: rolls right and lowers the nose"; undefined of what turns nothing. */
export function doesWords(airframe: Airframe, surface: Surface): string | undefined {
  const turns = authority(airframe, surface);
  const { front } = kindOf(airframe);
  const words = AXES.flatMap((axis) => {
    const way = turns[axis];
    if (way === undefined) return [];
    const sideways = way > 0 ? MOVEMENT_WORDS.right : MOVEMENT_WORDS.left;
    if (axis === 'roll') return [`rolls ${sideways}`];
    if (axis === 'pitch') return [way > 0 ? `lifts the ${front}` : `lowers the ${front}`];
    return [`turns the ${front} ${sideways}`];
  });
  if (words.length === 0) return undefined;
  const moved = MOVEMENT_WORDS[isUpright(surface) ? 'left' : 'down'];
  return `${surface.role === 'wheel' ? `${front} edge ${moved}` : moved}: ${words.join(' and ')}`;
}

/** What more of one motor alone does to the model: "more of it: turns the nose right"; undefined where it only pulls. */
export function thrustWords(airframe: Airframe, motor: Motor): string | undefined {
  const arms = motorArms(airframe, motor);
  const { front } = kindOf(airframe);
  const least = LEAST_SHARE * airframe.measures.spanMm;
  const words = [
    ...(Math.abs(arms.pitch) < least
      ? []
      : [`${arms.pitch > 0 ? 'lifts' : 'lowers'} the ${front}`]),
    ...(Math.abs(arms.yaw) < least
      ? []
      : [`turns the ${front} ${arms.yaw > 0 ? MOVEMENT_WORDS.right : MOVEMENT_WORDS.left}`]),
  ];
  return words.length === 0 ? undefined : `more of it: ${words.join(' and ')}`;
}

/**
 * What the model does when one motor alone stops while the others run, and what stops that: told as such, a rudder
 * may not be enough at low speed. Undefined where the one that stops turns nothing.
 */
export function motorOutWords(airframe: Airframe, motor: Motor): string | undefined {
  const yaw = motorArms(airframe, motor).yaw;
  if (airframe.motors.length < 2) return undefined;
  if (Math.abs(yaw) < LEAST_SHARE * airframe.measures.spanMm) return undefined;
  const { front, onSurface } = kindOf(airframe);
  const [towards, against] = yaw > 0 ? SIDES : SIDES.toReversed();
  return `If it stops alone, the ${front} turns ${towards}. Close the throttle, then steer ${against}${
    onSurface ? '' : '; a correction may not be enough at low speed'
  }.`;
}

const SIDES = [MOVEMENT_WORDS.left, MOVEMENT_WORDS.right] as const;
