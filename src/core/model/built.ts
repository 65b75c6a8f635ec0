import {
  AXES,
  capital,
  functionOf,
  kindOf,
  servedBy,
  SIDE_NAMES,
  type Airframe,
  type Axis,
  type ChannelFunction,
  type Motor,
  type Place,
  type Sense,
  type Servo,
  type Surface,
} from '../setup';
import { authority } from './moment';
import { motorPlaceOf } from './motors';
import type { Changed } from './moved';
import { isSamePlace, placeOf, usualPlace } from './place';
import { USUAL_LINKAGE, USUAL_SERVO } from './usual';

type Role = Surface['role'];
type Side = Surface['side'];

/** A part that may be added to a drawing: what it is called, where it begins, what its lead carries. */
export interface NewPart {
  id: string;
  /** As offered: "ailerons, one on each side". */
  words: string;
  role: Role | 'motor';
  /** Parts that belong on both sides come as a pair. */
  sides: readonly Side[];
  moves: readonly ('air' | 'wheels' | 'water')[];
  /** Only beside others of its role. */
  onlyBeside?: true;
  /** Not beside parts that do its work mixed with another: one plug cannot give both. */
  notBeside?: readonly Role[];
  carries(side: Side): ChannelFunction;
}

const PAIR = ['left', 'right'] as const;
const ONE = ['centre'] as const;

/** Every part that may be added; a new one is an entry here. */
export const NEW_PARTS: readonly NewPart[] = [
  {
    id: 'ailerons',
    words: 'ailerons, one on each side',
    role: 'aileron',
    sides: PAIR,
    moves: ['air'],
    notBeside: ['elevon', 'flaperon'],
    carries: () => 'aileron',
  },
  {
    id: 'elevator',
    words: 'an elevator',
    role: 'elevator',
    sides: ONE,
    moves: ['air'],
    notBeside: ['elevon', 'ruddervator'],
    carries: () => 'elevator',
  },
  {
    id: 'rudder',
    words: 'a rudder',
    role: 'rudder',
    sides: ONE,
    moves: ['air', 'water'],
    notBeside: ['ruddervator'],
    carries: () => 'rudder',
  },
  {
    id: 'flaps',
    words: 'flaps, one on each side',
    role: 'flap',
    sides: PAIR,
    moves: ['air'],
    carries: () => 'flap',
  },
  {
    id: 'elevons',
    words: 'elevons, one on each side',
    role: 'elevon',
    sides: PAIR,
    moves: ['air'],
    onlyBeside: true,
    carries: (side) => (side === 'left' ? 'elevon-left' : 'elevon-right'),
  },
  {
    id: 'wheel',
    words: 'a wheel that steers',
    role: 'wheel',
    sides: ONE,
    moves: ['air'],
    carries: () => 'wheel',
  },
  {
    id: 'wheels',
    words: 'wheels that steer, one on each side',
    role: 'wheel',
    sides: PAIR,
    moves: ['wheels'],
    carries: () => 'steering',
  },
  {
    id: 'motor',
    words: 'a motor',
    role: 'motor',
    sides: ONE,
    moves: ['air', 'wheels', 'water'],
    carries: () => 'throttle',
  },
];

/** How many motors a model may have. */
const MOST_MOTORS = 4;

const ofRole = ({ surfaces }: Airframe, role: NewPart['role']) =>
  surfaces.filter((s) => s.role === role);

/** What may be added to a model like this. */
export const newPartsFor = (airframe: Airframe): NewPart[] =>
  NEW_PARTS.filter(
    (part) =>
      part.moves.includes(kindOf(airframe).moves) &&
      (part.role === 'motor'
        ? airframe.motors.length > 0 && airframe.motors.length < MOST_MOTORS
        : !(part.onlyBeside && ofRole(airframe, part.role).length === 0) &&
          !part.notBeside?.some((role) => ofRole(airframe, role).length > 0)),
  );

/** An id that nothing else has: "aileron-left", then "aileron-left-2". */
function freeId(taken: readonly { id: string }[], base: string): string {
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.some((t) => t.id === id)) return id;
  }
}

const ORDINALS = ['', 'Second ', 'Third ', 'Fourth ', 'Fifth ', 'Sixth '] as const;

/** A label that nothing else has: "Left aileron", "Second left aileron". */
function freeLabel(taken: readonly { label: string }[], base: string): string {
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

const named = (role: Role, side: Side) =>
  side === 'centre' ? capital(roleName(role)) : `${capital(SIDE_NAMES[side])} ${roleName(role)}`;

/**
 * How a rod is hung so that its stick turns the model the right way where nothing is reversed: a longer pulse
 * is roll right, nose down, nose right.
 */
function sensible(
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

/** A second rudder hangs under the tail; a boat has it beside the first. */
const beside = (usual: Place, airframe: Airframe): Place => {
  const { lengthMm, spanMm } = airframe.measures;
  return kindOf(airframe).moves === 'water'
    ? { ...usual, rightMm: Math.round(0.25 * spanMm) }
    : { ...usual, downMm: Math.round(0.05 * lengthMm), spanMm: Math.round(0.06 * lengthMm) };
};

/** Where a further part begins: where its kind has it, or beside the one that is there already. */
function freePlace(airframe: Airframe, role: Role, side: Side): Place | undefined {
  const { lengthMm } = airframe.measures;
  const usual = usualPlace(airframe, { role, side });
  const inward = (share: number): Place => ({
    ...usual,
    rightMm: Math.round(usual.rightMm * share),
    spanMm: Math.max(5, Math.round(usual.spanMm * 0.5)),
  });
  const places: Place[] =
    role === 'elevator'
      ? [usual, { ...usual, forwardMm: Math.round(0.45 * lengthMm) }]
      : role === 'rudder'
        ? [usual, beside(usual, airframe)]
        : role === 'wheel'
          ? [usual, { ...usual, forwardMm: -usual.forwardMm }]
          : [usual, inward(0.55), inward(1.25)];
  const taken = ofRole(airframe, role).map((s) => placeOf(airframe, s));
  return places.find(
    (p) =>
      !taken.some(
        (t) => t.forwardMm === p.forwardMm && t.rightMm === p.rightMm && t.downMm === p.downMm,
      ),
  );
}

/** A part put on the model, on a servo of its own; its lead joins those that carry the same. */
function put(
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

/** The model with one more part, or a pair, on servos of their own. */
export function withPart(airframe: Airframe, id: string): Changed {
  const part = NEW_PARTS.find((p) => p.id === id);
  if (!part || !newPartsFor(airframe).includes(part))
    return { ok: false, reason: 'this model can have no more of them' };
  const { role } = part;
  if (role === 'motor') return { ok: true, airframe: withMotor(airframe) };
  let built = airframe;
  for (const side of part.sides) {
    const place = freePlace(built, role, side);
    if (!place)
      return {
        ok: false,
        reason: `there is no usual place left for ${part.words}; move one that is there first`,
      };
    const sibling = ofRole(airframe, role).find((s) => s.side === side);
    const onBoat = kindOf(airframe).moves === 'water' && role === 'rudder';
    built = put(
      built,
      role,
      side,
      place,
      onBoat ? 'steering' : part.carries(side),
      like(airframe, sibling),
    );
  }
  return { ok: true, airframe: built };
}

function like(airframe: Airframe, surface: Surface | undefined) {
  const servo = surface && airframe.servos.find((s) => s.id === surface.servo);
  return surface && servo ? { surface, servo } : undefined;
}

/** Motors already there keep their places; the new one stands in the middle until it is moved. */
function withMotor(airframe: Airframe): Airframe {
  const placed = airframe.motors.map((m): Motor => ({ ...m, place: motorPlaceOf(airframe, m) }));
  const [first] = placed;
  const forwardMm = first!.place!.forwardMm;
  const middle = placed.some((m) => m.place!.rightMm === 0);
  const outMm = Math.round(0.35 * airframe.measures.spanMm);
  return {
    ...airframe,
    motors: [
      ...placed,
      {
        ...first!,
        id: freeId(placed, 'motor'),
        label: freeLabel(placed, 'Motor'),
        place: { forwardMm, rightMm: middle ? outMm : 0, downMm: 0, upDeg: 0, rightDeg: 0 },
      },
    ],
  };
}

const ACROSS = { left: 'right', right: 'left' } as const;

/** What a lead carries on the other side, where the two sides carry something different. */
const OTHER_SIDE: Partial<Record<ChannelFunction, ChannelFunction>> = {
  'elevon-left': 'elevon-right',
  'elevon-right': 'elevon-left',
  'vtail-left': 'vtail-right',
  'vtail-right': 'vtail-left',
  'flaperon-left': 'flaperon-right',
  'flaperon-right': 'flaperon-left',
};

/** The model with the mirror image of one part on its other side, on a servo of its own. */
export function mirroredPart(airframe: Airframe, id: string): Changed {
  const motor = airframe.motors.find((m) => m.id === id);
  if (motor) return mirroredMotor(airframe, motor);
  const own = airframe.surfaces.find((s) => s.id === id);
  if (!own) throw new RangeError(`there is no part "${id}"`);
  const place = placeOf(airframe, own);
  if (place.rightMm === 0)
    return {
      ok: false,
      reason: `${own.label.toLowerCase()} is in the middle: move it to one side first`,
    };
  const across = { ...place, rightMm: -place.rightMm };
  if (
    airframe.surfaces.some((s) => s.role === own.role && isSamePlace(placeOf(airframe, s), across))
  )
    return { ok: false, reason: `${own.label.toLowerCase()} has its mirror image already` };
  const side = place.rightMm < 0 ? 'left' : 'right';
  const servo = airframe.servos.find((s) => s.id === own.servo)!;
  // One in the middle that was moved aside is now one of two.
  const sided: Airframe = {
    ...airframe,
    surfaces: airframe.surfaces.map((s) =>
      s !== own || s.side !== 'centre'
        ? s
        : { ...s, side, label: freeLabel(airframe.surfaces, named(s.role, side)), place },
    ),
  };
  const carries = servedBy(servo.carries);
  return {
    ok: true,
    airframe: put(sided, own.role, ACROSS[side], across, OTHER_SIDE[carries] ?? carries, {
      surface: own,
      servo,
    }),
  };
}

function mirroredMotor(airframe: Airframe, motor: Motor): Changed {
  const place = motorPlaceOf(airframe, motor);
  if (place.rightMm === 0)
    return {
      ok: false,
      reason: `${motor.label.toLowerCase()} is in the middle: move it to one side first`,
    };
  const across = {
    ...place,
    rightMm: -place.rightMm,
    rightDeg: place.rightDeg === 0 ? 0 : -place.rightDeg,
  };
  const there = airframe.motors.map((m): Motor => ({ ...m, place: motorPlaceOf(airframe, m) }));
  if (
    there.some(
      (m) => m.place!.rightMm === across.rightMm && m.place!.forwardMm === across.forwardMm,
    )
  )
    return { ok: false, reason: `${motor.label.toLowerCase()} has its mirror image already` };
  if (there.length >= MOST_MOTORS)
    return { ok: false, reason: `a model can have ${MOST_MOTORS} motors at most` };
  const side = across.rightMm < 0 ? 'left' : 'right';
  return {
    ok: true,
    airframe: {
      ...airframe,
      motors: [
        ...there,
        {
          ...motor,
          id: freeId(there, `motor-${side}`),
          label: freeLabel(there, `${capital(SIDE_NAMES[side])} motor`),
          place: across,
        },
      ],
    },
  };
}

const TURNS: Readonly<Record<Axis, string>> = {
  roll: 'roll it',
  pitch: 'lift or lower its nose',
  yaw: 'turn it',
};

const BOTH_SIDES: readonly Role[] = ['elevon', 'ruddervator', 'flaperon'];

/** The model without one part; its servo goes with it where it moves nothing else. */
export function withoutPart(airframe: Airframe, id: string): Changed {
  if (airframe.motors.some((m) => m.id === id)) {
    const motors = airframe.motors.map((m): Motor => ({ ...m, place: motorPlaceOf(airframe, m) }));
    return { ok: true, airframe: { ...airframe, motors: motors.filter((m) => m.id !== id) } };
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
  const idle = gone.map((s) => s.servo).filter((servo) => !surfaces.some((s) => s.servo === servo));
  return {
    ok: true,
    airframe: {
      ...airframe,
      surfaces,
      servos: airframe.servos.filter((s) => !idle.includes(s.id)),
    },
  };
}

/** Of parts that work in pairs: the other one, which is of no use alone. */
function acrossFrom(airframe: Airframe, own: Surface): Surface[] {
  const { forwardMm, rightMm } = placeOf(airframe, own);
  const other = ofRole(airframe, own.role).find((s) => {
    const place = placeOf(airframe, s);
    return s !== own && place.forwardMm === forwardMm && place.rightMm === -rightMm;
  });
  return other ? [other] : [];
}
