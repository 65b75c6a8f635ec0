import type { Axis } from '../setup';

/** One thing done in an experiment, with everything else standing still. What it leaves stays for the next one. */
export type Act =
  /** To an angle from level in one movement, about one axis or two at once, and held there. Degrees. */
  | { kind: 'tilt'; deg: Readonly<Partial<Record<Axis, number>>> }
  /** A stick to its end and let go, the model held as it is. */
  | { kind: 'stab'; stick: string }
  /** A stick held out, then the transmitter off. */
  | { kind: 'lost'; stick: string; pct: number }
  /** Switched on; then look at all surfaces together. */
  | { kind: 'power-up' }
  /** Controls are moved, nothing else; then look at the light. */
  | { kind: 'light' }
  /**
   * Tilted, level captured so in the way of the description, then level again; then look where a surface stands against
   * before. It leaves the unit with a wrong level.
   */
  | { kind: 'teach'; deg: Readonly<Partial<Record<Axis, number>>>; hands: readonly HandMove[] };

/** Controls moved, and how long they are held there, seconds. */
export interface HandMove {
  put: Readonly<Record<string, number>>;
  forS: number;
}

/** In place of a surface: the light, or all surfaces together. */
export const SIGN = 'sign';

/** Something done, and the surfaces to look at then, by id, or `SIGN`. */
export interface Step {
  /** Controls moved before, by id, with the model level again; absent: the model is held as it is. */
  put?: Readonly<Record<string, number>>;
  /** A stick then moved to its end and released, so that attitude hold takes the level model as its reference. */
  settle?: string | undefined;
  act: Act;
  watch: readonly string[];
}

/** What to do with a powered unit on the bench, and where to look. */
export interface Experiment {
  id: string;
  /** Controls away from rest, by id, put there before. */
  controls: Readonly<Record<string, number>>;
  /** Powered up for it, and the throttle not touched since. */
  fresh: boolean;
  /** The gain lead pulled out for it. */
  leadOut: boolean;
  /** One after another. */
  steps: readonly Step[];
  /** About how long it takes, in seconds. */
  seconds: number;
  /** The experiments it is made of, by their ids, where several are done one after another. */
  parts?: readonly string[];
}

/** What can be seen of one surface: which way it goes (1 as its angle counts), and whether it stays or comes back. */
type Moved = 'none' | '+stays' | '+returns' | '-stays' | '-returns' | 'limp';

/** Twitches are counted up to this; more look the same. */
export const MOST_TWITCHES = 5;

/** What a number of twitches looks like. */
export const twitchesSeen = (count: number): Glance => `twitches ${Math.min(count, MOST_TWITCHES)}`;

/** What can be seen: of one surface; of the light, against before; how often all surfaces twitch. */
export type Glance = Moved | 'same' | 'other' | `twitches ${number}`;

/** What was answered of each surface of each step, in their order; "unsure" says nothing. */
export type Answer = readonly (Glance | 'unsure')[];

/** A whole answer without doubts, as one word to compare it by. */
export type Seen = string;

/** The surfaces of an experiment in the order they are looked at. */
export const looksOf = ({ steps }: Pick<Experiment, 'steps'>): readonly string[] =>
  steps.flatMap(({ watch }) => watch);

/** Whether it leaves a unit with something else than it had learned. */
export const rewrites = ({ steps }: Pick<Experiment, 'steps'>): boolean =>
  steps.some(({ act }) => act.kind === 'teach');

/** Whether an answer says nothing at all. */
export const saysNothing = (answer: Answer): boolean => answer.every((a) => a === 'unsure');
