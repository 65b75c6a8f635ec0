import { describe, expect, it } from 'vitest';
import { holdsOf, STICK_ENDS } from '../../capture';
import { AIRFRAME_KINDS, kindOf, parseSetup, type Setup } from '../../setup';
import { unsuited } from '../../plan';
import { UNITS } from '../../catalogue';
import { makeSetup } from '../../../../tests/kit/setups';
import { wished } from '../../../../tests/kit/order-faults';
import { stickOf } from '../hands';
import { compileChain } from '../chain';
import { createEar, gesturesOf } from './gestures';

const TICK_S = 0.1;

/** A unit that hears a corner of two sticks for three seconds and a mode switch flicked twice in two. */
function listening(change: (s: Setup) => void = () => undefined): Setup {
  const setup = wished();
  setup.unit.traits.gestures = [
    {
      for: 'wing type',
      holds: [
        { stick: 'elevator', at: -100 },
        { stick: 'aileron', at: 100 },
      ],
      seconds: 3,
    },
  ];
  setup.unit.traits.levelCapture = { by: 'flick', times: 2, withinS: 2 };
  change(setup);
  const read = parseSetup(setup);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

/** What a unit hears while hands go from place to place, each held for so long. */
function heardBy(setup: Setup, moves: readonly (readonly [Record<string, number>, number])[]) {
  const chain = compileChain(setup);
  const [stimulus, memory, frame] = [chain.restStimulus(), chain.newMemory(), chain.newFrame()];
  const ear = createEar(setup);
  return moves.flatMap(([controls, seconds]) => {
    stimulus.controls.set(chain.restStimulus().controls);
    for (const [id, value] of Object.entries(controls))
      stimulus.controls[chain.layout.controls.get(id)!] = value;
    stimulus.dtS = TICK_S;
    return Array.from({ length: Math.round(seconds / TICK_S) }, () => {
      chain.step(stimulus, memory, frame);
      return ear.hear(frame, TICK_S).map((g) => g.for);
    }).flat();
  });
}

const CORNER = { 'stick-elevator': -100, 'stick-aileron': 100 };

describe('a corner of the sticks', () => {
  it.each<[string, (readonly [Record<string, number>, number])[], string[]]>([
    ['held as long as the unit waits', [[CORNER, 3.2]], ['wing type']],
    ['held on and on: once', [[CORNER, 12]], ['wing type']],
    [
      'left and held again: again',
      [
        [CORNER, 4],
        [{}, 1],
        [CORNER, 4],
      ],
      ['wing type', 'wing type'],
    ],
    ['held too short', [[CORNER, 2.5]], []],
    [
      'left half way: the time begins anew',
      [
        [CORNER, 2],
        [{}, 0.2],
        [CORNER, 2],
      ],
      [],
    ],
    ['one stick of it alone', [[{ 'stick-elevator': -100 }, 5]], []],
    ['the other end', [[{ 'stick-elevator': 100, 'stick-aileron': 100 }, 5]], []],
    ['not all the way', [[{ 'stick-elevator': -60, 'stick-aileron': 100 }, 5]], []],
  ])('%s', (_, moves, heard) => expect(heardBy(listening(), moves)).toEqual(heard));

  it('is heard in its mode alone', () => {
    const setup = listening((s) => {
      delete s.unit.traits.gestures;
      s.unit.traits.levelCapture = {
        by: 'corner',
        mode: 'level',
        holds: [{ stick: 'elevator', at: -100 }],
        seconds: 1,
      };
    });
    const back = { 'stick-elevator': -100 };
    const chain = compileChain(setup);
    const modes = [-100, 0, 100].map((sa) => {
      const stimulus = chain.restStimulus();
      stimulus.controls[chain.layout.controls.get('sa')!] = sa;
      const frame = chain.newFrame();
      chain.step(stimulus, chain.newMemory(), frame);
      return frame.mode;
    });
    expect(modes).toContain('level');
    [-100, 0, 100].forEach((sa, i) =>
      expect(heardBy(setup, [[{ ...back, sa }, 3]])).toEqual(modes[i] === 'level' ? ['level'] : []),
    );
  });
});

describe('a channel that is flicked', () => {
  const flick = (times: number, legS: number) =>
    Array.from({ length: 2 * times + 1 }, (_, i) => [{ sa: i % 2 ? 100 : -100 }, legS] as const);
  it.each<[string, Setup, (readonly [Record<string, number>, number])[], string[]]>([
    ['as often and as quickly', listening(), flick(2, 0.4), ['level']],
    ['once only', listening(), flick(1, 0.4), []],
    ['too slowly', listening(), flick(2, 0.9), []],
    [
      'to its middle and back',
      listening(),
      Array.from({ length: 9 }, (_, i) => [{ sa: i % 2 ? 0 : -100 }, 0.2] as const),
      [],
    ],
  ])('%s', (_, setup, moves, heard) => expect(heardBy(setup, moves)).toEqual(heard));
});

/** Units that have a corner of their own, in every model they suit. */
const CORNERED = Object.keys(UNITS).flatMap((unit) =>
  AIRFRAME_KINDS.filter((kind) => !kindOf({ kind }).onSurface)
    .map((kind) => ({ unit, kind }))
    .filter(({ kind }) => gesturesOf(UNITS[unit]!).length > 0 && fits(kind, unit)),
);

function fits(kind: (typeof AIRFRAME_KINDS)[number], unit: string): boolean {
  const setup = makeSetup(kind, unit);
  return unsuited(setup.airframe, setup.unit).length === 0;
}

it('there are models to hold a corner with', () => expect(CORNERED.length).toBeGreaterThan(4));

describe.each(CORNERED)('$unit in a $kind', ({ kind, unit }) => {
  const planned = makeSetup(kind, unit);
  const reversed = structuredClone(planned);
  for (const output of reversed.program.outputs)
    if (output.carries !== 'throttle') output.reversed = !output.reversed;
  it.each([
    ['as planned', planned],
    ['with every channel reversed', reversed],
  ])('held as it is said, each gesture is heard, and no other: %s', (_, setup) => {
    for (const { for: what, by } of gesturesOf(setup.unit)) {
      if (by.kind !== 'corner') continue;
      const controls = Object.fromEntries(
        holdsOf(setup, by.holds).map(({ stick, to }) => [
          setup.transmitter.controls[stickOf(setup.transmitter, stick)]!.id,
          STICK_ENDS[stick].indexOf(to) * 200 - 100,
        ]),
      );
      expect(heardBy(setup, [[controls, by.seconds + 0.5]])).toEqual([what]);
    }
  });
});
