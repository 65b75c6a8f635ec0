import type { Frame } from '../../chain';
import type { Read } from '../../setup';
import type { About, Failure, Severity } from '../finding';

/** How the model is turned or tipped in one step of a script; anything not named is level and still. */
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
  /** The control returns to where it was when the script began. */
  | { back: number }
  | { waitS: number }
  | { signal: boolean }
  /** One observation with the model in an attitude; the memory stays as it was. */
  | { look: Attitude };
export type Script = readonly Act[];

/** Everything a claim may use about one moment. */
export interface Moment {
  readonly frame: Frame;
  /** Where every control stands, in percent. */
  readonly hands: ArrayLike<number>;
  /** Panic is pressed, or recovery has not ended yet. */
  readonly panicking: boolean;
  /** Launch help is on. */
  readonly launching: boolean;
  /** How far the pulse of a channel (1-based) varies within its cell, microseconds; absent if unknown. */
  readonly widthUs?: ((channel: number) => number) | undefined;
}

/** The states a claim covers. */
export interface Scope {
  /** Channels (1-based) that the claim depends on. */
  channels: readonly number[];
  /** Anything else that separates states: switch positions, the logic of call-outs. */
  reads?: readonly Read[];
  /** What may have happened since power-up; anything by default. */
  before?: 'switches-at-rest' | 'nothing-touched';
  /** Controls held at a value now, by index. */
  hands?: readonly (readonly [control: number, value: number])[];
  /**
   * Where sticks that spring back stand, if they do not decide it. Two of them at their ends leave a mixed surface no room,
   * and that is no fault: `released`, within a quarter of their way (`near`), or `anywhere`.
   */
  sticks: 'released' | 'near' | 'anywhere';
  /** Trims stay at rest. */
  trimsAtRest?: true;
  /** The unit armed and with a position fix (`in-use`), or in every state of its own (`any`). */
  unit: 'in-use' | 'any';
}

/** A claim that does not hold: what is shown to the person. */
export interface Found {
  /** The moments examined, in the order the claim's form gives them. */
  seen: readonly Moment[];
  now: Moment;
  margin: number;
  /** Where the controls stand, in words. */
  state: string;
  /** How many of the examined states fail. */
  failing: readonly [number, number];
}

export interface Told {
  says: string;
  severity?: Exclude<Severity, 'note'>;
  where?: string;
  about?: About;
  /** A control, and the value that shows the failure. */
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
  /** The moments it covers; all of them if absent. */
  when?: (now: Moment) => boolean;
  says(found: Found): string | Told;
}

/** Asked of every state, or of some: then once in each group that `each` names. */
interface Quantified {
  asked: 'always' | 'somewhere';
  each?: (now: Moment) => string;
  /** The failure to report if no covered state is reached. */
  none?: { says: string; about: About };
}

/** A predicate over one moment, with a margin: nothing below zero holds. */
export interface MomentClaim extends Common, Quantified {
  form: 'moment';
  holds(now: Moment): number;
  /** The margin is monotone in every pulse of its channels, so the ends of a range bound it. */
  byPulses?: true;
}

/** One control swept over its range, everything else and the memory held. */
export interface SweepClaim extends Common, Quantified {
  form: 'sweep';
  control: number;
  /** Places besides its ends, its middle and wherever something changes. */
  spread?: number;
  /** @param places where it stood, rising @param seen what was there */
  holds(places: readonly number[], seen: readonly Moment[]): number;
}

/** The same moment after two scripts, or at several steps of one. */
export interface TwinClaim extends Common, Quantified {
  form: 'twin';
  scripts: readonly Script[];
  /** Waits of the first script up to this long are part of the witness. */
  shownUntilS?: number;
  /** @param seen every look of every script, in order */
  holds(seen: readonly Moment[], now: Moment): number;
}

/** One of a finite list holds in every state it covers, and it covers at least one. */
export interface ListClaim extends Common {
  form: 'moment';
  asked: 'one-of';
  choices: readonly string[];
  /** @returns undefined where the claim does not cover the moment */
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

/** Whether a claim looks at a unit that is not in use: not armed yet, without a position fix, without a signal; or at no state at all. */
export const leavesUse = (claim: Claim): boolean =>
  claim.form === 'setup' ||
  claim.scope.unit === 'any' ||
  (claim.form === 'twin' &&
    claim.scripts.some((script) => script.some((act) => 'signal' in act && !act.signal)));
