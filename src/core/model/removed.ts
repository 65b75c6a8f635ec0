import {
  functionOf,
  kindOf,
  servedBy,
  type Airframe,
  type Axis,
  type ChannelFunction,
  type Motor,
  type Surface,
} from '../setup';
import { busy } from './ganged';
import { authority } from './moment';
import { motorPlaceOf } from './motors';
import type { Changed } from './moved';
import { placeOf } from './place';

type Role = Surface['role'];

const TURNS: Readonly<Record<Axis, string>> = {
  roll: 'roll it',
  pitch: 'lift or lower its nose',
  yaw: 'turn it',
};

const BOTH_SIDES: readonly Role[] = ['elevon', 'ruddervator', 'flaperon'];

/** Where the first of a pair is gone, the second carries what the first did. */
function leadsMovedUp<T extends { carries: ChannelFunction }>(list: readonly T[]): T[] {
  return list.map((item) => {
    const base = servedBy(item.carries);
    const alone = functionOf(item.carries).second && !list.some((o) => o.carries === base);
    return alone ? { ...item, carries: base } : item;
  });
}

/** The model without one part; its servo goes with it where it moves nothing else. */
export function withoutPart(airframe: Airframe, id: string): Changed {
  if (airframe.motors.some((m) => m.id === id)) {
    const motors = airframe.motors.map((m): Motor => ({ ...m, place: motorPlaceOf(airframe, m) }));
    const left = motors.filter((m) => m.id !== id);
    return { ok: true, airframe: { ...airframe, motors: leadsMovedUp(left) } };
  }
  const own = airframe.surfaces.find((s) => s.id === id);
  if (!own) throw new RangeError(`there is no part "${id}"`);
  const gone = BOTH_SIDES.includes(own.role) ? [own, ...acrossFrom(airframe, own)] : [own];
  const surfaces = airframe.surfaces.filter((s) => !gone.includes(s));
  const turning = (list: readonly Surface[], axis: Axis) =>
    list.some((s) => authority(airframe, s)[axis] !== undefined);
  const flies = kindOf(airframe).moves === 'air';
  // An aeroplane without ailerons turns by its rudder, one without a rudder by its ailerons.
  const steers = (list: readonly Surface[]) => turning(list, 'roll') || turning(list, 'yaw');
  const missing: Axis | undefined =
    flies && turning(airframe.surfaces, 'pitch') && !turning(surfaces, 'pitch')
      ? 'pitch'
      : steers(airframe.surfaces) && !steers(surfaces)
        ? 'yaw'
        : undefined;
  if (missing)
    return {
      ok: false,
      reason: `without ${own.label.toLowerCase()} nothing could ${TURNS[missing]}`,
    };
  return {
    ok: true,
    airframe: {
      ...airframe,
      surfaces,
      servos: leadsMovedUp(busy(airframe, surfaces)),
    },
  };
}

/** Of parts that work in pairs: the other one, which is of no use alone. */
function acrossFrom(airframe: Airframe, own: Surface): Surface[] {
  const { forwardMm, rightMm } = placeOf(airframe, own);
  const other = airframe.surfaces.find((s) => {
    const place = placeOf(airframe, s);
    return (
      s !== own &&
      s.role === own.role &&
      place.forwardMm === forwardMm &&
      place.rightMm === -rightMm
    );
  });
  return other ? [other] : [];
}
