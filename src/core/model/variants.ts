import {
  capital,
  kindOf,
  SIDE_NAMES,
  type Airframe,
  type ChannelFunction,
  type Place,
  type Servo,
  type Surface,
} from '../setup';
import { DEVICES, type Device } from './devices';
import { busy, withGang } from './ganged';
import { isSamePlace, usualPlace } from './place';

/** Something a model of its kind may have besides: what it is called, and how it comes and goes. */
export interface Variant {
  id: string;
  /** What the model then has. */
  words: string;
  /** Whether a model like this can have it. */
  fits(airframe: Airframe): boolean;
  has(airframe: Airframe): boolean;
  /** @returns the airframe with it; a servo of its own sits on a Y-lead until its lead carries something else */
  add(airframe: Airframe): Airframe;
  remove(airframe: Airframe): Airframe;
}

type Role = Surface['role'];

const ofRole = ({ surfaces }: Airframe, role: Role) => surfaces.filter((s) => s.role === role);

const unplaced = ({ place: _, ...surface }: Surface): Surface => surface;

/** Half of a part has one servo: what was ganged on the whole moves neither. */
const onOneServo = (surface: Surface): Surface => withGang(unplaced(surface), []);

/** A rod moved to the other side of its arm. */
const otherSense = (sense: Surface['linkage']['sense']) =>
  sense === 'same' ? ('opposite' as const) : ('same' as const);

const onSide = (side: 'left' | 'right', name: string) => `${capital(SIDE_NAMES[side])} ${name}`;

/** Half of a part in the middle, where somebody has said where that is. */
const halfPlace = ({ place }: Surface, side: 'left' | 'right'): Pick<Surface, 'place'> =>
  place
    ? {
        place: {
          ...place,
          rightMm: Math.round(((side === 'left' ? -1 : 1) * place.spanMm) / 4),
          spanMm: place.spanMm / 2,
        },
      }
    : {};

const wholePlace = ({ place }: Surface): Pick<Surface, 'place'> =>
  place ? { place: { ...place, rightMm: 0, spanMm: 2 * place.spanMm } } : {};

/** One part in the middle becomes two, a servo each; the first keeps its id and its servo. */
function halved(id: string, words: string, role: Role, name: string): Variant {
  const second = `${role}-second`;
  const has = (airframe: Airframe) => airframe.surfaces.some((s) => s.id === second);
  return {
    id,
    words,
    fits(airframe) {
      const own = ofRole(airframe, role);
      return has(airframe) || (own.length === 1 && own[0]!.side === 'centre');
    },
    has,
    add(airframe) {
      const one = ofRole(airframe, role).find((s) => s.side === 'centre')!;
      const servo = airframe.servos.find((s) => s.id === one.servo)!;
      const half = (side: 'left' | 'right', over: Partial<Surface>): Surface => ({
        ...onOneServo(one),
        ...halfPlace(one, side),
        side,
        label: onSide(side, name),
        ...over,
      });
      const surfaces = airframe.surfaces.flatMap((s) =>
        s === one ? [half('left', {}), half('right', { id: second, servo: second })] : [s],
      );
      const two = {
        ...airframe,
        surfaces,
        servos: busy(airframe, surfaces).flatMap((s) =>
          s === servo ? [s, { ...servo, id: second, label: `Second ${name} servo` }] : [s],
        ),
      };
      return isAhead(two) ? onTheWing(two) : two;
    },
    remove(airframe) {
      const surfaces = airframe.surfaces.flatMap((s) => {
        if (s.id === second) return [];
        if (s.role !== role || s.side === 'centre') return [s];
        const place = standsOnTheWing(airframe, s) ? {} : wholePlace(s);
        return [{ ...unplaced(s), ...place, side: 'centre' as const, label: capital(name) }];
      });
      return { ...airframe, surfaces, servos: busy(airframe, surfaces) };
    },
  };
}

/** Every elevator is ahead of the wing: one ahead and one behind is another model. */
const isAhead = (airframe: Airframe) => {
  const own = ofRole(airframe, 'elevator');
  return own.length > 0 && own.every((s) => (s.place?.forwardMm ?? -1) > 0);
};

/** Where one of two rudders stands on a model without a tail. Common practice, no source. */
function wingPlace(airframe: Airframe, rudder: Surface): Place {
  const { chordMm, spanMm } = airframe.measures;
  const rightMm = Math.round((rudder.side === 'left' ? -0.3 : 0.3) * spanMm);
  return { ...usualPlace(airframe, rudder), forwardMm: Math.round(-0.75 * chordMm), rightMm };
}

const isOneOfTwoRudders = ({ role, side }: Surface) => role === 'rudder' && side !== 'centre';

const standsOnTheWing = (airframe: Airframe, s: Surface): boolean =>
  isOneOfTwoRudders(s) && s.place !== undefined && isSamePlace(s.place, wingPlace(airframe, s));

/** Without a tail its two rudders stand on the wing. */
const onTheWing = (airframe: Airframe): Airframe => ({
  ...airframe,
  surfaces: airframe.surfaces.map((s) =>
    isOneOfTwoRudders(s) && !s.place ? { ...s, place: wingPlace(airframe, s) } : s,
  ),
});

/** The elevator before the wing: where it is decides which way it turns the model. */
const canard: Variant = {
  id: 'canard',
  words: 'the elevator ahead of the wing (canard)',
  fits: (airframe) => kindOf(airframe).moves === 'air' && ofRole(airframe, 'elevator').length > 0,
  has: isAhead,
  add: (airframe) => onTheWing(turnedRound(airframe, 1)),
  remove(airframe) {
    const tail = turnedRound(airframe, -1);
    // Rudders nobody has moved go back to the tail.
    const surfaces = tail.surfaces.map((s) => (standsOnTheWing(airframe, s) ? unplaced(s) : s));
    return { ...tail, surfaces };
  },
};

/** Elevators before (1) or behind the balance point, their rods turned over so that the stick does what it did. */
function turnedRound(airframe: Airframe, way: 1 | -1): Airframe {
  return {
    ...airframe,
    surfaces: airframe.surfaces.map((s) => {
      if (s.role !== 'elevator') return s;
      const plain = unplaced(s);
      const linkage = { ...s.linkage, sense: otherSense(s.linkage.sense) };
      const place = usualPlace(airframe, s);
      const forwardMm = Math.round(0.45 * airframe.measures.lengthMm);
      return way > 0
        ? { ...plain, linkage, place: { ...place, forwardMm } }
        : { ...plain, linkage };
    }),
  };
}

/** Flaps with a servo each, which one Y-lead or two channels move. */
const twoFlapServos: Variant = {
  id: 'flap-servos',
  words: 'a servo for each flap',
  fits: (airframe) => ofRole(airframe, 'flap').length === 2,
  has: (airframe) => new Set(ofRole(airframe, 'flap').map((s) => s.servo)).size > 1,
  add(airframe) {
    const right = ofRole(airframe, 'flap').find((s) => s.side === 'right')!;
    const servo = airframe.servos.find((s) => s.id === right.servo)!;
    const own: Servo = { ...servo, id: 'flap-second', label: 'Right flap servo' };
    return {
      ...airframe,
      surfaces: airframe.surfaces.map((s) => (s === right ? { ...s, servo: own.id } : s)),
      servos: airframe.servos.flatMap((s) => (s === servo ? [s, own] : [s])),
    };
  },
  remove(airframe) {
    const left = ofRole(airframe, 'flap').find((s) => s.side === 'left')!;
    // One servo for both pulls at each by one rod.
    const surfaces = airframe.surfaces.map((s) =>
      s.role === 'flap' ? { ...withGang(s, []), servo: left.servo } : s,
    );
    return { ...airframe, surfaces, servos: busy(airframe, surfaces) };
  },
};

/** A second motor beside the first, on the same throttle until its lead carries another. */
const secondMotor: Variant = {
  id: 'second-motor',
  words: 'a second motor',
  // Aeroplanes are asked how many motors they have.
  fits: (airframe) => kindOf(airframe).onSurface && airframe.motors.length > 0,
  has: (airframe) => airframe.motors.length > 1,
  add(airframe) {
    const [motor] = airframe.motors;
    return {
      ...airframe,
      motors: [
        { ...motor!, label: 'Left motor' },
        { ...motor!, id: 'motor-second', label: 'Right motor' },
      ],
    };
  },
  remove: (airframe) => ({
    ...airframe,
    motors: airframe.motors.slice(0, 1).map((m) => ({ ...m, label: 'Motor' })),
  }),
};

/** Rear wheels that steer against the front ones, by a servo of their own. */
const rearSteering: Variant = {
  id: 'rear-steering',
  words: 'rear wheels that steer',
  fits: (airframe) => kindOf(airframe).moves === 'wheels',
  has: (airframe) => airframe.surfaces.some((s) => s.id === 'rear-left'),
  add(airframe) {
    const front = ofRole(airframe, 'wheel');
    const servo = airframe.servos.find((s) => s.id === front[0]!.servo)!;
    const rear = front.map((wheel): Surface => {
      const place = usualPlace(airframe, wheel);
      return {
        ...withGang(wheel, []),
        id: `rear-${wheel.side}`,
        label: onSide(wheel.side === 'left' ? 'left' : 'right', 'rear wheel'),
        servo: 'rear-steering',
        linkage: { ...wheel.linkage, sense: otherSense(wheel.linkage.sense) },
        place: { ...place, forwardMm: Math.round(-0.45 * airframe.measures.wheelbaseMm) },
      };
    });
    return {
      ...airframe,
      surfaces: [...airframe.surfaces, ...rear],
      servos: [...airframe.servos, { ...servo, id: 'rear-steering', label: 'Rear steering servo' }],
    };
  },
  remove(airframe) {
    const surfaces = airframe.surfaces.filter((s) => s.servo !== 'rear-steering');
    return { ...airframe, surfaces, servos: busy(airframe, surfaces) };
  },
};

const SPARES = ['aux1', 'aux2', 'aux3'] as const satisfies readonly ChannelFunction[];

/** A device as something a model may have besides: a servo of its own on the first spare function. */
const deviceVariant = (device: Device): Variant => {
  const has = ({ servos }: Airframe) => servos.some((s) => s.id === device.id);
  const free = ({ servos }: Airframe) => SPARES.find((f) => servos.every((s) => s.carries !== f));
  return {
    id: device.id,
    words: device.words,
    fits: (airframe) =>
      has(airframe) ||
      (free(airframe) !== undefined &&
        airframe.servos.length > 0 &&
        (device.only === undefined ||
          (device.only === 'air') === (kindOf(airframe).moves === 'air'))),
    has,
    add: (airframe) => ({
      ...airframe,
      servos: [
        ...airframe.servos,
        { ...airframe.servos[0]!, id: device.id, label: device.label, carries: free(airframe)! },
      ],
    }),
    remove: (airframe) => ({
      ...airframe,
      servos: airframe.servos.filter((s) => s.id !== device.id),
    }),
  };
};

/** Everything a model may have besides; a new one is an entry here. */
export const VARIANTS: readonly Variant[] = [
  halved('two-elevators', 'the elevator in two halves, a servo each', 'elevator', 'elevator'),
  halved('two-rudders', 'two rudders, a servo each', 'rudder', 'rudder'),
  canard,
  twoFlapServos,
  secondMotor,
  rearSteering,
  ...DEVICES.map(deviceVariant),
];

/** An airframe with what it has besides, in the order of the registry; what does not fit it is left out. */
export const builtWith = (plain: Airframe, ids: readonly string[]): Airframe =>
  VARIANTS.filter((v) => ids.includes(v.id)).reduce(
    (built, v) => (v.fits(built) && !v.has(built) ? v.add(built) : built),
    plain,
  );
