import { kindOf, type Airframe, type Servo, type Surface } from '../setup';
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

/** Which way it is turned over: a rod moved to the other side of the arm. */
const otherSense = (sense: Surface['linkage']['sense']) =>
  sense === 'same' ? ('opposite' as const) : ('same' as const);

const SIDES = [
  ['left', 'Left'],
  ['right', 'Right'],
] as const;

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
      const plain = unplaced(one);
      const half = ([side, said]: (typeof SIDES)[number], over: Partial<Surface>): Surface => ({
        ...plain,
        side,
        label: `${said} ${name}`,
        ...over,
      });
      const two = {
        ...airframe,
        surfaces: airframe.surfaces.flatMap((s) =>
          s === one ? [half(SIDES[0], {}), half(SIDES[1], { id: second, servo: second })] : [s],
        ),
        servos: airframe.servos.flatMap((s) =>
          s === servo ? [s, { ...servo, id: second, label: `Second ${name} servo` }] : [s],
        ),
      };
      return isAhead(two) ? onTheWing(two) : two;
    },
    remove: (airframe) => ({
      ...airframe,
      surfaces: airframe.surfaces.flatMap((s) => {
        if (s.id === second) return [];
        if (s.role !== role || s.side === 'centre') return [s];
        return [{ ...unplaced(s), side: 'centre' as const, label: capital(name) }];
      }),
      servos: airframe.servos.filter((s) => s.id !== second),
    }),
  };
}

const capital = (word: string) => word.slice(0, 1).toUpperCase() + word.slice(1);

const isAhead = (airframe: Airframe) =>
  ofRole(airframe, 'elevator').some((s) => (s.place?.forwardMm ?? -1) > 0);

/** Without a tail its two rudders stand on the wing. */
const onTheWing = (airframe: Airframe): Airframe => ({
  ...airframe,
  surfaces: airframe.surfaces.map((s) => {
    if (s.role !== 'rudder' || s.side === 'centre' || s.place) return s;
    const { chordMm, spanMm } = airframe.measures;
    const rightMm = Math.round((s.side === 'left' ? -0.3 : 0.3) * spanMm);
    const forwardMm = Math.round(-0.75 * chordMm);
    return { ...s, place: { ...usualPlace(airframe, s), forwardMm, rightMm } };
  }),
});

/** The elevator before the wing: where it is decides which way it turns the model. */
const canard: Variant = {
  id: 'canard',
  words: 'the elevator ahead of the wing (canard)',
  fits: (airframe) => kindOf(airframe).moves === 'air' && ofRole(airframe, 'elevator').length > 0,
  has: isAhead,
  add: (airframe) => onTheWing(turnedRound(airframe, 1)),
  remove(airframe) {
    const wing = onTheWing({ ...airframe, surfaces: ofRole(airframe, 'rudder').map(unplaced) });
    const tail = turnedRound(airframe, -1);
    return {
      ...tail,
      // Rudders nobody has moved go back to the tail.
      surfaces: tail.surfaces.map((s) =>
        s.place && wing.surfaces.some((w) => w.id === s.id && isSamePlace(w.place!, s.place!))
          ? unplaced(s)
          : s,
      ),
    };
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
    return {
      ...airframe,
      surfaces: airframe.surfaces.map((s) => (s.role === 'flap' ? { ...s, servo: left.servo } : s)),
      servos: airframe.servos.filter((s) => s.id !== 'flap-second'),
    };
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
        ...wheel,
        id: `rear-${wheel.side}`,
        label: `${wheel.side === 'left' ? 'Left' : 'Right'} rear wheel`,
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
  remove: (airframe) => ({
    ...airframe,
    surfaces: airframe.surfaces.filter((s) => s.servo !== 'rear-steering'),
    servos: airframe.servos.filter((s) => s.id !== 'rear-steering'),
  }),
};

/** Everything a model may have besides; a new one is an entry here. */
export const VARIANTS: readonly Variant[] = [
  halved('two-elevators', 'the elevator in two halves, a servo each', 'elevator', 'elevator'),
  halved('two-rudders', 'two rudders, a servo each', 'rudder', 'rudder'),
  canard,
  twoFlapServos,
  secondMotor,
  rearSteering,
];
