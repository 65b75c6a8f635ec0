import type { Axis } from './lists';

/** What a function is for: everything that is asked of a group of functions is asked of its role. */
export type FunctionRole =
  /** Moves a surface, wheel or rudder that steers the model. */
  | 'steering'
  | 'motor'
  /** Flaps and gear: moved by a switch, never stabilized. */
  | 'device'
  /** Tells the unit what to do. */
  | 'order'
  /** For whatever the person likes. */
  | 'free';

interface FunctionEntry {
  role: FunctionRole;
  /** In the middle of a sentence. */
  words: string;
  /** How a servo signal of it is made of the three axes, in pulse terms: a pair is sum and difference. */
  axes?: Partial<Record<Axis, number>>;
  /** A function whose channel serves it as well where none of its own arrives. */
  standIn?: string;
  /** It is the second of a pair with the function that stands in for it. */
  second?: true;
  /** What a unit that mixes must be sent in its place. */
  plain?: readonly string[];
  /** A switch can work it, and so a channel that carries nothing but a switch. */
  switched?: true;
  /** A stick of its own works it. */
  stick?: true;
  /** Only a model that flies has it. */
  flies?: true;
  /** The axis whose gain it tunes. */
  tunes?: Axis;
}

/**
 * What a channel or a plug carries. The transmitter sends functions, the unit receives and puts
 * them out; servos that move mixed surfaces (elevons, V-tail panels) have functions of their own.
 * A new function is a line here.
 */
const TABLE = {
  aileron: { flies: true, role: 'steering', words: 'aileron', axes: { roll: 1 }, stick: true },
  elevator: { flies: true, role: 'steering', words: 'elevator', axes: { pitch: 1 }, stick: true },
  throttle: { role: 'motor', words: 'throttle', stick: true },
  rudder: { flies: true, role: 'steering', words: 'rudder', axes: { yaw: 1 }, stick: true },
  aileron2: {
    flies: true,
    role: 'steering',
    words: 'second aileron',
    axes: { roll: 1 },
    standIn: 'aileron',
    second: true,
  },
  elevator2: {
    flies: true,
    role: 'steering',
    words: 'second elevator',
    axes: { pitch: 1 },
    standIn: 'elevator',
    second: true,
  },
  rudder2: {
    flies: true,
    role: 'steering',
    words: 'second rudder',
    axes: { yaw: 1 },
    standIn: 'rudder',
    second: true,
  },
  throttle2: { role: 'motor', words: 'second throttle', standIn: 'throttle', second: true },
  'elevon-left': {
    flies: true,
    role: 'steering',
    words: 'left elevon',
    axes: { pitch: 1, roll: 1 },
    plain: ['aileron', 'elevator'],
  },
  'elevon-right': {
    flies: true,
    role: 'steering',
    words: 'right elevon',
    axes: { pitch: 1, roll: -1 },
    plain: ['aileron', 'elevator'],
  },
  'vtail-left': {
    flies: true,
    role: 'steering',
    words: 'left panel of the V-tail',
    axes: { pitch: 1, yaw: -1 },
    plain: ['elevator', 'rudder'],
  },
  'vtail-right': {
    flies: true,
    role: 'steering',
    words: 'right panel of the V-tail',
    axes: { pitch: 1, yaw: 1 },
    plain: ['elevator', 'rudder'],
  },
  'flaperon-left': { flies: true, role: 'steering', words: 'left flaperon', axes: { roll: 1 } },
  'flaperon-right': { flies: true, role: 'steering', words: 'right flaperon', axes: { roll: 1 } },
  flap: { flies: true, role: 'device', words: 'flaps', switched: true },
  flap2: {
    flies: true,
    role: 'device',
    words: 'second flap',
    standIn: 'flap',
    second: true,
    switched: true,
  },
  // Without a channel of its own it goes with the flaps.
  gear: { flies: true, role: 'device', words: 'gear', standIn: 'flap', switched: true },
  brake: { role: 'device', words: 'wheel brake', switched: true },
  wheel: { flies: true, role: 'steering', words: 'wheel', axes: { yaw: 1 }, standIn: 'rudder' },
  steering: {
    role: 'steering',
    words: 'steering',
    axes: { yaw: 1 },
    standIn: 'rudder',
    stick: true,
  },
  steering2: {
    role: 'steering',
    words: 'second steering',
    axes: { yaw: 1 },
    standIn: 'steering',
    second: true,
  },
  mode: { role: 'order', words: 'mode', switched: true },
  mode2: { flies: true, role: 'order', words: 'second mode channel', switched: true },
  gain: { role: 'order', words: 'gain' },
  'gain-roll': { flies: true, role: 'order', words: 'roll gain', tunes: 'roll' },
  'gain-pitch': { flies: true, role: 'order', words: 'pitch gain', tunes: 'pitch' },
  'gain-yaw': { role: 'order', words: 'yaw gain', tunes: 'yaw' },
  recovery: { flies: true, role: 'order', words: 'panic recovery', switched: true },
  capture: { flies: true, role: 'order', words: 'capture', switched: true },
  aux1: { role: 'free', words: 'spare 1' },
  aux2: { role: 'free', words: 'spare 2' },
  aux3: { role: 'free', words: 'spare 3' },
} as const satisfies Record<string, FunctionEntry>;

export type ChannelFunction = keyof typeof TABLE;

export const FUNCTIONS = Object.keys(TABLE) as [ChannelFunction, ...ChannelFunction[]];

/** All there is to say of a function. */
export const functionOf = (carries: ChannelFunction) =>
  TABLE[carries] as FunctionEntry & {
    standIn?: ChannelFunction;
    plain?: readonly ChannelFunction[];
  };

/** The function whose channel serves this one where it has none of its own; itself where nothing stands in for it. */
export function servedBy(carries: ChannelFunction): ChannelFunction {
  const { stick, standIn } = functionOf(carries);
  return stick ? carries : (standIn ?? carries);
}

/**
 * What the lead of the second of a pair may carry: the pair's own function, then those with a channel of their own.
 * @param base the function both are served by
 */
export const leadChoices = (base: ChannelFunction, onSurface: boolean): ChannelFunction[] => [
  base,
  ...FUNCTIONS.filter(
    (f) =>
      functionOf(f).second === true && servedBy(f) === base && !(onSurface && functionOf(f).flies),
  ),
];

export const roleOf = (carries: ChannelFunction): FunctionRole => TABLE[carries].role;
export const isOrder = (carries: ChannelFunction): boolean => roleOf(carries) === 'order';

/** What a line of a channel is for as far as the channel tells it: what is proved of it. */
export function usualPurpose(carries: ChannelFunction): 'stick' | 'mode' | 'gain' | 'other' {
  const role = roleOf(carries);
  if (role === 'device' || role === 'free') return 'other';
  if (role !== 'order') return 'stick';
  return carries === 'mode' ? 'mode' : /^gain/.test(carries) ? 'gain' : 'other';
}

/** The functions there are for a model that flies, or for one that steers on wheels or water. */
export const functionsFor = (onSurface: boolean): readonly ChannelFunction[] =>
  onSurface ? FUNCTIONS.filter((f) => !functionOf(f).flies) : FUNCTIONS;

/** Functions a stick of its own turns the model by. */
export const STEERING_STICKS: readonly ChannelFunction[] = FUNCTIONS.filter(
  (f) => roleOf(f) === 'steering' && functionOf(f).stick,
);
