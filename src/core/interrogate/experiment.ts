import type { Axis } from '../setup';

/** What is done with everything else standing still. */
export type Act =
  /** From level to an angle in a moment, and held there. */
  | { kind: 'tilt'; axis: Axis; deg: number }
  /** Held at an angle, then a stick to its end and let go. */
  | { kind: 'stab'; axis: Axis; deg: number; stick: string }
  /** A stick held out, then the transmitter off. */
  | { kind: 'lost'; stick: string; pct: number };

/** One thing to do with a powered unit on the bench, and one surface to look at. */
export interface Experiment {
  id: string;
  /** Controls away from rest, by id, put there before. */
  controls: Readonly<Record<string, number>>;
  /** Powered up for it, and the throttle not touched since. */
  fresh: boolean;
  /** The gain lead pulled out for it. */
  leadOut: boolean;
  act: Act;
  /** The surface that is looked at, by id. */
  watch: string;
  /** About how long it takes, in seconds. */
  seconds: number;
}

/** What can be seen of a surface: which way it goes (1 as its angle counts), and whether it stays or comes back. */
export type Seen = 'none' | '+stays' | '+returns' | '-stays' | '-returns' | 'limp';

/** What was answered; "unsure" says nothing. */
export type Answer = Seen | 'unsure';

/** What a unit would show: the likely answer first, and others where it moves so little that either may be seen. */
export type Shown = readonly [Seen, ...Seen[]];
