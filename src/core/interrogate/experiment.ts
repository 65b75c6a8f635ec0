import type { Axis } from '../setup';

/** One thing done in an experiment, with everything else standing still. What it leaves stays for the next one. */
export type Act =
  /** To an angle from level in one movement, about one axis or two at once, and held there. Degrees. */
  | { kind: 'tilt'; deg: Readonly<Partial<Record<Axis, number>>> }
  /** A stick to its end and let go, the model held as it is. */
  | { kind: 'stab'; stick: string }
  /** A stick held out, then the transmitter off. */
  | { kind: 'lost'; stick: string; pct: number }
  /** Switched on: all surfaces are looked at together. */
  | { kind: 'power-up' }
  /** Nothing but controls put elsewhere: the light is looked at. */
  | { kind: 'light' };

/** What is looked at that is no surface. */
export const SIGN = 'sign';

/** Something done, and the surfaces that are looked at then, by id; `SIGN` for all of them, or the light. */
export interface Step {
  /** Controls that are moved before, with the model put back to level, by id; none: the model is held as it is. */
  put?: Readonly<Record<string, number>>;
  /** A stick that is moved to its end and let go then, so that a hold holds the level model. */
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

/** What can be seen: of one surface; of the light, against before; how often all surfaces twitch. */
export type Glance = Moved | 'same' | 'other' | `twitches ${number}`;

/** What was answered of each surface of each step, in their order; "unsure" says nothing. */
export type Answer = readonly (Glance | 'unsure')[];

/** A whole answer without doubts, as one word to compare it by. */
export type Seen = string;

/** The surfaces of an experiment in the order they are looked at. */
export const looksOf = ({ steps }: Pick<Experiment, 'steps'>): readonly string[] =>
  steps.flatMap(({ watch }) => watch);

/** Whether an answer says nothing at all. */
export const saysNothing = (answer: Answer): boolean => answer.every((a) => a === 'unsure');
