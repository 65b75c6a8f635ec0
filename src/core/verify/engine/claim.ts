import type { Frame } from '../../chain';
import type { Read } from '../../setup';
import type { About, Failure, Severity } from '../finding';

/** How the model is turned or tipped for one look; whatever is not named is level and still. */
export interface Attitude {
  rollDeg?: number;
  pitchDeg?: number;
  rollRateDegPerS?: number;
  pitchRateDegPerS?: number;
  yawRateDegPerS?: number;
}

/** One thing a person does, or that happens, in a script. Controls go by their position. */
export type Act =
  | { hand: number; to: number }
  /** The control goes back to where it stood when the script began. */
  | { back: number }
  | { waitS: number }
  | { signal: boolean }
  /** One look with the model in an attitude; nothing is remembered of it. */
  | { look: Attitude };
export type Script = readonly Act[];

/** What can be seen in one moment. A claim looks at what it is shown and nothing else. */
export interface Moment {
  readonly frame: Frame;
  /** Where every control stands, in percent. */
  readonly hands: ArrayLike<number>;
  /** Panic is pressed, or what it set going has not let go yet. */
  readonly panicking: boolean;
  /** Launch help is on. */
  readonly launching: boolean;
  /** By how much the pulse of a channel (1-based) varies in its cell, microseconds; absent where nobody knows. */
  readonly widthUs?: ((channel: number) => number) | undefined;
}

/** Which states a claim speaks of. */
export interface Scope {
  /** Channels (1-based) that decide it. */
  channels: readonly number[];
  /** What else is told apart: positions of switches, logic of call-outs. */
  reads?: readonly Read[];
  /** What was done since power-up: anything at all, unless said otherwise. */
  before?: 'switches-at-rest' | 'nothing-touched';
  /** Where controls stand now, by position. */
  hands?: readonly (readonly [control: number, value: number])[];
  /**
   * Where sticks that spring back stand, if they do not decide it. Two of them at their ends leave a mixed surface no room,
   * and that is no fault: `released`, within a quarter of their way (`near`), or `anywhere`.
   */
  sticks: 'released' | 'near' | 'anywhere';
  /** Trims stay at rest: the person has just let them be. */
  trimsAtRest?: true;
  /** The unit armed and with a position fix (`in-use`), or in every state of its own (`any`). */
  unit: 'in-use' | 'any';
}

/** What a claim says when it does not hold. */
export interface Found {
  /** The moments that were looked at, as its form has them. */
  seen: readonly Moment[];
  now: Moment;
  margin: number;
  /** Where the controls stand, in words. */
  state: string;
  /** In how many of how many states it fails. */
  failing: readonly [number, number];
}

export interface Told {
  says: string;
  severity?: Exclude<Severity, 'note'>;
  where?: string;
  about?: About;
  /** A control, and where it is put to see it. */
  then?: readonly [control: number, value: number];
}

interface Common {
  /** Names it within its requirement. */
  key: string;
  scope: Scope;
  severity: Failure['severity'];
  /** Where in the Setup (RFC 6901). */
  where: string;
  about: About;
  /** What the witness shows, in a few words. */
  shows: string;
  /** Moments it speaks of; all, where absent. */
  when?: (now: Moment) => boolean;
  says(found: Found): string | Told;
}

/** Asked of every state, or of some: then once in each group that `each` names. */
interface Asked {
  asked: 'always' | 'somewhere';
  each?: (now: Moment) => string;
  /** What it comes to that no state was met of which it speaks. */
  none?: { says: string; about: About };
}

/** A predicate over one moment, with a margin: nothing below zero holds. */
export interface MomentClaim extends Common, Asked {
  form: 'moment';
  holds(now: Moment): number;
  /** Its margin rises or falls with every pulse of its channels: the ends of a range say all. */
  byPulses?: true;
}

/** One control over its range, all else and the memory held. */
export interface SweepClaim extends Common, Asked {
  form: 'sweep';
  control: number;
  /** Places besides its ends, its middle and wherever something changes. */
  spread?: number;
  /** @param places where it stood, rising @param seen what was there */
  holds(places: readonly number[], seen: readonly Moment[]): number;
}

/** The same moment after one script and after another, or as it goes on in one. */
export interface TwinClaim extends Common, Asked {
  form: 'twin';
  scripts: readonly Script[];
  /** Waits of the first script up to this long are part of the witness. */
  shownUntilS?: number;
  /** @param seen every look of every script, in order */
  holds(seen: readonly Moment[], now: Moment): number;
}

/** One of a finite list holds in every state that speaks of it, and in one at least. */
export interface ListClaim extends Common {
  form: 'moment';
  asked: 'one-of';
  choices: readonly string[];
  /** @returns undefined where the moment does not speak of it */
  allows(now: Moment, choice: string): boolean | undefined;
}

/** The same of what is seen after scripts. */
export interface TwinListClaim extends Common {
  form: 'twin';
  asked: 'one-of';
  scripts: readonly Script[];
  shownUntilS?: number;
  choices: readonly string[];
  allows(seen: readonly Moment[], choice: string): boolean | undefined;
}

/** Something about the Setup that no state changes. */
export interface SetupClaim {
  form: 'setup';
  key: string;
  failure: Failure;
}

export type StateClaim = MomentClaim | SweepClaim | TwinClaim | ListClaim | TwinListClaim;
export type Claim = StateClaim | SetupClaim;
