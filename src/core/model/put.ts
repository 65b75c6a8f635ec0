import {
  AXES,
  capital,
  functionOf,
  SIDE_NAMES,
  type Airframe,
  type Axis,
  type ChannelFunction,
  type Place,
  type Sense,
  type Servo,
  type Surface,
} from '../setup';
import { authority } from './moment';
import { USUAL_LINKAGE, USUAL_SERVO } from './usual';

type Role = Surface['role'];
type Side = Surface['side'];

/** An id that nothing else has: "aileron-left", then "aileron-left-2". */
export function freeId(taken: readonly { id: string }[], base: string): string {
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.some((t) => t.id === id)) return id;
  }
}

const ORDINALS = ['', 'Second ', 'Third ', 'Fourth ', 'Fifth ', 'Sixth '] as const;

/** A label that nothing else has: "Left aileron", "Second left aileron". */
export function freeLabel(taken: readonly { label: string }[], base: string): string {
  const lower = base.toLowerCase();
  for (const ordinal of ORDINALS) {
    const label = ordinal ? `${ordinal}${lower}` : base;
    if (!taken.some((t) => t.label.toLowerCase() === label.toLowerCase())) return label;
  }
  return base;
}

const roleName = (role: Role): string =>
  ({
    aileron: 'aileron',
    elevator: 'elevator',
    rudder: 'rudder',
    flap: 'flap',
    elevon: 'elevon',
    wheel: 'wheel',
    ruddervator: 'V-tail panel',
    flaperon: 'flaperon',
    gear: 'retracts',
    brake: 'wheel brake',
  })[role];

export const named = (role: Role, side: Side) =>
  side === 'centre' ? capital(roleName(role)) : `${capital(SIDE_NAMES[side])} ${roleName(role)}`;

/**
 * How a rod is hung so that its stick turns the model the right way where nothing is reversed: a longer pulse
 * is roll right, nose down, nose right.
 */
export function sensible(
  airframe: Airframe,
  surface: Surface,
  carries: ChannelFunction,
): Surface['linkage']['sense'] {
  const turns = authority(airframe, surface);
  const asks = functionOf(carries).axes ?? {};
  const axis = AXES.find((a: Axis) => turns[a] !== undefined && asks[a] !== undefined);
  if (!axis) return 'same';
  const longer: Sense = axis === 'pitch' ? -1 : 1;
  return turns[axis]! * asks[axis]! * longer > 0 ? 'same' : 'opposite';
}

/** A part put on the model, on a servo of its own; its lead joins those that carry the same. */
export function put(
  airframe: Airframe,
  role: Role,
  side: Side,
  place: Place,
  carries: ChannelFunction,
  like?: { surface: Surface; servo: Servo },
): Airframe {
  const label = freeLabel(airframe.surfaces, named(role, side));
  const base = side === 'centre' ? role : `${role}-${side}`;
  const id = freeId([...airframe.surfaces, ...airframe.servos], base);
  const servo: Servo = {
    ...USUAL_SERVO,
    ...like?.servo,
    id,
    label: `${label} servo`,
    carries,
  };
  const surface: Surface = {
    id,
    label,
    role,
    side,
    servo: id,
    linkage: { ...USUAL_LINKAGE, ...like?.surface.linkage, sense: 'same' },
    chordMm:
      like?.surface.chordMm ??
      (role === 'wheel' ? 30 : Math.max(3, Math.round(airframe.measures.chordMm * 0.18))),
    place,
  };
  surface.linkage.sense = sensible(airframe, surface, carries);
  return {
    ...airframe,
    surfaces: [...airframe.surfaces, surface],
    servos: [...airframe.servos, servo],
  };
}
