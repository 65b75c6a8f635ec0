import type { Axis } from '../setup';
import type { Data, Sentence } from './sentence';

export { restWords } from './rest';
export { fault, sentences, type About, type Data, type Named, type Sentence } from './sentence';

/** The tests there are, by the steps of the job they belong to. */
export type TestName =
  | 'identify'
  | 'safe'
  | 'entry'
  | 'unit'
  | 'plain-model'
  | 'calibration'
  | 'mounting'
  | 'steering'
  | 'capture'
  | 'level'
  | 'panic'
  | 'failsafe'
  | 'preflight'
  | 'chassis'
  | 'tune'
  | 'lock'
  | 'record';

/**
 * The state of transmitter and model during a step. Controls by id, percent; any other control is at
 * rest, the model level and the signal present.
 */
export interface BenchState {
  controls: Readonly<Record<string, number>>;
  /** Right wing down, nose up and nose right are positive; level about the other axes. */
  attitudeDeg?: Readonly<Partial<Record<Axis, number>>>;
  linkUp?: false;
}

/** One thing to do with the model in your hands, and what must be seen, in this order. */
export interface ScriptStep {
  test: TestName;
  /** Which part of the test: names its evidence. */
  item: string;
  does: string;
  sees: string[];
  /** Those of them that show a fault of the Setup: seen on the bench or not, it must be changed. */
  faults: string[];
  /** What is done and what must be seen, as data. */
  asks: Data;
  /** How everything stands then, where the rig can stand like it. */
  state?: BenchState;
}

/** A step: its name, what is done, and what must be seen. */
export type Line = readonly [
  item: string,
  does: Sentence | readonly Sentence[],
  sees: readonly Sentence[],
  state?: BenchState,
];

/** Steps of one test from what is done and what must be seen. */
export const scriptOf = (test: TestName, lines: readonly Line[]): ScriptStep[] =>
  lines.map(([item, does, sees, state]) => {
    const all = [does].flat() as Sentence[];
    return {
      test,
      item,
      does: all.map((s) => s.words).join(' '),
      sees: sees.map((s) => s.words),
      faults: sees.flatMap((s) => (s.isFault ? [s.words] : [])),
      asks: [all.map((s) => s.asks), sees.map((s) => s.asks)],
      ...(state ? { state } : {}),
    };
  });
