import { axisFunction, compileChain, MOVEMENT_WORDS, stickOf } from '../chain';
import { allExpectations, predictAll } from '../directions';
import { applyPatch, type PatchOperation } from '../patch';
import { learnTravel } from '../plan';
import { AXES, pointer, type Setup } from '../setup';

/** How somebody may go about it. */
export interface Teaching {
  first: 'left' | 'right';
  /** The ends are set before it, or after it. */
  ends: 'before' | 'after';
  /** The steering went the wrong way while the unit learned it, and was reversed in the transmitter afterwards. */
  reversedAfter: boolean;
}

export const RIGHT_WAY: Teaching = { first: 'left', ends: 'before', reversedAfter: false };

/** One moment of the run. */
export interface Moment {
  does: string;
  seen: string;
}

export interface DrivenCapture {
  /** What is done and seen, from the first press to the last. */
  moments: Moment[];
  /** The Setup as it is afterwards, with what the unit then believes. */
  setup: Setup;
  /** Which way the front wheels or the rudder go when the front is swung right, as the chain has it. */
  correction: 'against' | 'with' | 'none';
  /** Full steering as the unit reads it, percent of the travel it learned. */
  readsPct: number;
  /** What goes wrong with it when the model runs; empty where nothing does. */
  wrong: string[];
}

/**
 * Plays a travel capture: the unit learns the side shown first as left, whatever it really is. The
 * outcome is asked of the chain.
 */
export function taught(setup: Setup, { first, ends, reversedAfter }: Teaching): DrivenCapture {
  const at = setup.program.outputs.findIndex((o) => o.carries === 'steering');
  const output = setup.program.outputs[at];
  const was = (field: string, value: unknown): PatchOperation => ({
    op: 'replace',
    path: pointer('program', 'outputs', at, field),
    value,
  });
  // As the transmitter was while it was taught: with the ends it came with, or steering the wrong way.
  const before = output
    ? (applyPatch(setup, [
        ...(ends === 'after' ? [was('minPct', -100), was('maxPct', 100)] : []),
        ...(reversedAfter ? [was('reversed', !output.reversed)] : []),
      ]) as Setup)
    : setup;
  const learned = learnTravel(before).map((t) =>
    first === 'left' ? t : { ...t, sense: t.sense === 1 ? (-1 as const) : (1 as const) },
  );
  const after = applyPatch(setup, [
    { op: 'add', path: '/installation/travelCapture', value: learned },
  ]) as Setup;
  const correction = correctionOf(after);
  const readsPct = readingAtEnd(after);
  return {
    moments: momentsOf(first),
    setup: after,
    correction,
    readsPct,
    wrong: [
      ...(correction === 'with'
        ? ['It steers with the swing instead of against it: the first kick becomes a spin.']
        : []),
      ...(readsPct < 92
        ? [
            `Full steering counts as ${readsPct.toFixed(0)} % of what it learned: at your endpoint it still corrects, and fights you there.`,
          ]
        : []),
      ...(readsPct > 108
        ? [
            'Your endpoints lie beyond what it learned: it reads the last part of the travel as more than full steering.',
          ]
        : []),
    ],
  };
}

const momentsOf = (first: 'left' | 'right'): Moment[] => {
  const then = first === 'left' ? 'right' : 'left';
  const [one, other] = [MOVEMENT_WORDS[first], MOVEMENT_WORDS[then]];
  return [
    {
      does: 'Keep the model clear of everything. Start it with its button.',
      seen: 'its light shows that it is waiting',
    },
    {
      does: `Steer full ${one}, and hold.`,
      seen: `the steering goes ${one} and stays; then it centres itself: it has learned this side as left`,
    },
    {
      does: `Now steer full ${other}, and hold.`,
      seen: `the steering goes ${other}; its light stops: both ends are learned`,
    },
    { does: 'Release the steering.', seen: 'the steering centres and stays there' },
  ];
};

/** Front swung right: what the steering answers, as the direction checks would see it. */
function correctionOf(setup: Setup): DrivenCapture['correction'] {
  const predictions = predictAll(setup);
  for (const { check, surface, movement } of allExpectations(setup)) {
    if (check.kind !== 'correction') continue;
    const seen = predictions.get(check.id)?.get(surface.id)?.movement;
    if (seen !== undefined && seen !== 'centre') return seen === movement ? 'against' : 'with';
  }
  return 'none';
}

/** The steering as the unit reads it with the hand at its end. */
function readingAtEnd(setup: Setup): number {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const hand = stickOf(setup.transmitter, axisFunction(setup, 'yaw'));
  const at = (value: number) => {
    const stimulus = chain.restStimulus();
    if (hand >= 0) stimulus.controls[hand] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return Math.abs(frame.stickPct[AXES.indexOf('yaw')]!);
  };
  return Math.min(at(-100), at(100));
}
