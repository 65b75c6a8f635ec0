import { kindOf, type Airframe, type ChannelFunction, type Surface } from '../setup';

type Role = Surface['role'];
type Side = Surface['side'];

/** A part that may be added to a drawing: what it is called, on which sides, what its lead carries. */
export interface NewPart {
  id: string;
  /** As offered: "ailerons, one on each side". */
  words: string;
  role: Role | 'motor';
  /** Parts that belong on both sides come as a pair. */
  sides: readonly Side[];
  /** Whether a model like this may have one more. */
  fits(airframe: Airframe): boolean;
  carries(side: Side): ChannelFunction;
}

const PAIR = ['left', 'right'] as const;
const ONE = ['centre'] as const;

/** How many motors a model may have. */
export const MOST_MOTORS = 4;

const moves = (airframe: Airframe) => kindOf(airframe).moves;
const has = ({ surfaces }: Airframe, ...roles: Role[]) =>
  surfaces.some((s) => roles.includes(s.role));
/** Without parts that do its work mixed with another: one plug cannot give both. */
const fliesWithout =
  (...mixed: Role[]) =>
  (airframe: Airframe) =>
    moves(airframe) === 'air' && !has(airframe, ...mixed);

/** Every part that may be added; a new one is an entry here. */
export const NEW_PARTS: readonly NewPart[] = [
  {
    id: 'ailerons',
    words: 'ailerons, one on each side',
    role: 'aileron',
    sides: PAIR,
    fits: fliesWithout('elevon', 'flaperon'),
    carries: () => 'aileron',
  },
  {
    id: 'elevator',
    words: 'an elevator',
    role: 'elevator',
    sides: ONE,
    fits: fliesWithout('elevon', 'ruddervator'),
    carries: () => 'elevator',
  },
  {
    id: 'rudder',
    words: 'a rudder',
    role: 'rudder',
    sides: ONE,
    fits: fliesWithout('ruddervator'),
    carries: () => 'rudder',
  },
  {
    id: 'boat-rudder',
    words: 'a rudder',
    role: 'rudder',
    sides: ONE,
    fits: (airframe) => moves(airframe) === 'water',
    carries: () => 'steering',
  },
  {
    id: 'flaps',
    words: 'flaps, one on each side',
    role: 'flap',
    sides: PAIR,
    fits: fliesWithout(),
    carries: () => 'flap',
  },
  {
    id: 'elevons',
    words: 'elevons, one on each side',
    role: 'elevon',
    sides: PAIR,
    fits: (airframe) => has(airframe, 'elevon'),
    carries: (side) => (side === 'left' ? 'elevon-left' : 'elevon-right'),
  },
  {
    id: 'wheel',
    words: 'a wheel that steers',
    role: 'wheel',
    sides: ONE,
    // The rudder of an upside-down V is reversed on the way to the unit, and its correction with it: a wheel is not.
    fits: (airframe) => moves(airframe) === 'air' && airframe.kind !== 'inverted-v-tail',
    carries: () => 'wheel',
  },
  {
    id: 'wheels',
    words: 'wheels that steer, one on each side',
    role: 'wheel',
    sides: PAIR,
    fits: (airframe) => moves(airframe) === 'wheels',
    carries: () => 'steering',
  },
  {
    id: 'motor',
    words: 'a motor',
    role: 'motor',
    sides: ONE,
    fits: ({ motors }) => motors.length > 0 && motors.length < MOST_MOTORS,
    carries: () => 'throttle',
  },
];

/** What may be added to a model like this. */
export const newPartsFor = (airframe: Airframe): NewPart[] =>
  NEW_PARTS.filter((part) => part.fits(airframe));
