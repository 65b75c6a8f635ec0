import { describe, expect, it } from 'vitest';
import { share } from '../../../tests/kit/share';
import { addLine, addLogic, at } from '../../../tests/kit/add-entries';
import { cleanSetup } from '../../../tests/kit/clean';
import { wished } from '../../../tests/kit/order-faults';
import { randomProgram } from '../../../tests/kit/random-program';
import { decided, refute } from '../../../tests/kit/refuter';
import type { Condition, Line, Logic, Setup } from '../setup';
import { Stage } from './engine';
import { Interner } from './explore';
import { Boxes } from './explore/boxes';
import { Forms } from './explore/forms';
import { Ranges } from './explore/ranges';
import { Zones } from './explore/zones';

/*
 * The engine is broken in one place at a time, and playing with the raw chain must contradict it each
 * time. A refuter that finds nothing here would find nothing anywhere.
 */

/** Enough moves to meet one switch of eight in one of its positions. */
const MOVES = 400;

function changed(
  change: (
    s: Setup,
    line: (more: Partial<Line>) => void,
    logic: (entry: Partial<Logic> & Pick<Logic, 'op'>) => Condition,
  ) => void,
): Setup {
  const setup = structuredClone(
    wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } }),
  );
  change(
    setup,
    (more) => addLine(setup, 'throttle', more),
    (entry) => addLogic(setup, entry),
  );
  return setup;
}

/** Programs that are wrong in ways only a sound engine finds. */
const WRONG: Setup[] = [
  changed((_, line, logic) =>
    line({ when: logic({ op: 'latch', set: at('sg', 1), reset: at('sb', 2) }) }),
  ),
  changed((_, line, logic) =>
    line({ when: logic({ op: 'delay', of: at('sd', 2), onS: 3, offS: 0 }) }),
  ),
  changed((_, line, logic) => {
    const loud = logic({
      op: 'greater',
      follows: { kind: 'control', id: 'k2' },
      valuePct: 63,
    });
    line({ when: loud });
  }),
  changed((_, line, logic) => {
    const flicked = logic({ op: 'toggles', of: at('sf', 2), count: 3, withinS: 2 });
    line({ when: logic({ op: 'latch', set: flicked, reset: at('sf', 1) }) });
  }),
  changed((_, line) => line({ follows: { kind: 'control', id: 'l2' }, sharePct: 60 })),
  changed((s, line) =>
    line({
      channel: s.program.outputs.find((o) => o.carries === 'elevator')!.channel,
      follows: { kind: 'control', id: 'l2' },
      sharePct: 40,
    }),
  ),
  changed((s) => {
    const panic = s.program.lines.find((l) => l.purpose === 'panic')!;
    panic.when = { kind: 'all', of: [panic.when!, { kind: 'not', of: at('sd', 2) }] };
  }),
  ...[3, 8, 21, 34].map((seed) => randomProgram(seed, { logic: 4, lines: 6, rich: true })),
  ...[5, 9].flatMap((seed) => cleanSetup(seed)?.setup ?? []),
];

/** Replaces a method while one proof runs. */
function broken<T extends object, K extends keyof T>(of: T, name: K, by: (was: T[K]) => T[K]) {
  return (work: () => void) => {
    const was = of[name];
    of[name] = by(was);
    try {
      work();
    } finally {
      of[name] = was;
    }
  };
}

type Any = (...args: never[]) => unknown;
const as = <T>(f: Any): T => f as unknown as T;

const BREAKS: [string, (work: () => void) => void][] = [
  [
    'boxes never cut',
    broken(Ranges.prototype, 'run', (was) =>
      as(function (this: Ranges) {
        was.call(this);
        this.cut = undefined;
        return true;
      }),
    ),
  ],
  [
    'only the first position of every switch',
    broken(Boxes.prototype, 'each', (was) =>
      as(function (this: Boxes, controls: readonly number[], ranges: Ranges, found: () => boolean) {
        let first = true;
        return was.call(this, controls, ranges, () => {
          if (!first) return true;
          first = false;
          return found();
        });
      }),
    ),
  ],
  ['no time passes', broken(Zones.prototype, 'letTimePass', () => as(() => undefined))],
  [
    'nothing ever runs out',
    broken(Forms.prototype as unknown as { choose: () => boolean }, 'choose', () => () => false),
  ],
  ['no memory can be', broken(Zones.prototype, 'close', () => as(() => false))],
  [
    'undecided outcomes are taken one way',
    broken(Forms.prototype, 'nextChoices', () => as(() => false)),
  ],
  ['all states are alike', broken(Stage.prototype, 'playKey', () => as(() => [0]))],
  ['all sweeps are alike', broken(Stage.prototype, 'sweepKey', () => as(() => [0]))],
  ['lists are not told apart', broken(Interner.prototype, 'index', () => as(() => 0))],
  [
    'controls stay at rest',
    broken(Stage.prototype, 'put', (was) =>
      as(function (this: Stage, hands: Float64Array, ...more: [never, never]) {
        return was.call(this, hands.slice().fill(-100), ...more);
      }),
    ),
  ],
];

let run = 0;

describe('an engine broken in one place', () => {
  it.each(share(BREAKS, 5))('is refuted: %s', (_, breaking) => {
    run += 1;
    // A limit of its own for each run, so that no kept table answers for a broken engine.
    const limit = 20_000 + run;
    const refuted = WRONG.some((setup, i) => {
      let said: ReturnType<typeof decided> | undefined;
      try {
        breaking(() => (said = decided(structuredClone(setup), limit)));
      } catch {
        // A broken engine that throws hides nothing.
        return true;
      }
      return refute(setup, 40 + i, MOVES, said) !== undefined;
    });
    expect(refuted).toBe(true);
  });
  it('whole, none of these programs is refuted', () => {
    for (const [i, setup] of share([...WRONG.entries()], 6))
      expect(refute(setup, 40 + i, 120, decided(setup, 20_000)), `program ${i}`).toBeUndefined();
  });
});
