import type { ChannelFunction, Setup } from '../setup';
import { handsOn } from '../verify';
import { cover, fewest } from './cover';
import { BY_EYE_PCT, byEye, handsName, handWords, TOLERANCE_PCT, valuesOf } from './hands';
import type { Hands, Monitor } from './monitor';
import { makesADifference, placementsOf, tellingOf, touches, withMore } from './telling';
import { channelWords } from './words';
import type { WrongEntry } from './wrong';

/** One value to read off the channel monitor while the hands are so. */
export interface ReadBack {
  /** Of the pose and the channel. */
  id: string;
  channel: number;
  carries: ChannelFunction;
  /** The pose in words. */
  words: string;
  hands: Hands;
  /** Something has to be held this long first. */
  holdS: number;
  /** What the monitor must show, percent of this transmitter's scale, after the output stage. */
  predictedPct: number;
  /** How far a right entry may be from it. */
  tolerancePct: number;
}

/** The hands so, and the whole monitor as it must show then. */
export interface Pose {
  id: string;
  hands: Hands;
  /** What is retired from rest, one control each; empty with nothing touched. */
  places: string[];
  holdS: number;
  column: ReadBack[];
}

export interface Poses {
  poses: Pose[];
  /** Wrong entries that some pose shows. */
  shown: number;
  /** Wrong entries that no pose can show, though they make a difference. */
  unseen: WrongEntry[];
}

const known = new WeakMap<Setup, Poses>();
/** The newest few by what they are made of: most edits leave the program alone. */
const byContent = new Map<string, Poses>();
const MOST_KEPT = 12;

/** Everything that poses are made of. */
const contentOf = ({ program, transmitter }: Setup): string => {
  const { failsafe: _, callouts: __, timers: ___, ...entered } = program;
  return JSON.stringify([entered, transmitter]);
};

/**
 * The fewest poses of the hands in which every single wrong entry that a monitor can show moves at
 * least one value further than it is read. Worked out once: Setups are immutable.
 */
export function posesOf(setup: Setup): Poses {
  const before = known.get(setup);
  if (before) return before;
  const content = contentOf(setup);
  const found = byContent.get(content) ?? workOut(setup);
  rememberPoses(setup, found);
  byContent.delete(content);
  byContent.set(content, found);
  if (byContent.size > MOST_KEPT) byContent.delete(byContent.keys().next().value!);
  return found;
}

/** Takes poses that were worked out elsewhere, in a worker say, for those of this Setup. */
export function rememberPoses(setup: Setup, poses: Poses): void {
  known.set(setup, poses);
}

/** Every value of every pose. */
export const readBacksOf = (setup: Setup): ReadBack[] =>
  posesOf(setup).poses.flatMap((p) => p.column);

function workOut(setup: Setup): Poses {
  const telling = tellingOf(setup);
  const { wrong, channels, right } = telling;
  /** Hands that show a wrong entry, the first that do. */
  const seenWith = new Map<number, Hands>();
  const unseen: WrongEntry[] = [];
  const placements = channels.map((c) => placementsOf(setup, c.cone));
  const controls = new Set(channels.flatMap((c) => c.cone));
  wrong.forEach((w, i) => {
    const hands = channels
      .flatMap((c, at) =>
        touches(w, c.channel)
          ? [
              placements[at]!.find((h) => telling.tells(at, h, i)) ??
                withMore(setup, c.cone, telling.cone(at, i)).find((h) => telling.tells(at, h, i)),
            ]
          : [],
      )
      .find((h) => h !== undefined);
    if (hands) {
      seenWith.set(i, hands);
      for (const c of setup.transmitter.controls) if (hands[c.id] !== undefined) controls.add(c);
    } else if (makesADifference(setup, w, right, telling.monitor(i))) unseen.push(w);
  });
  const hands = cover({
    seenWith,
    controls: [...controls].map((c) => ({
      id: c.id,
      rest: c.rest,
      values: valuesOf(setup, c),
      needs: c.kind === 'momentary' ? 'hand' : c.kind === 'stick' && c.rest === 0 ? 'spring' : '',
    })),
    shows: (put, i) =>
      channels.some((c, at) => touches(wrong[i]!, c.channel) && telling.tells(at, put, i)),
  });
  return {
    poses: inTurn(hands).map((h) => poseOf(setup, h, right)),
    shown: seenWith.size,
    unseen,
  };
}

/**
 * What no choice of poses can go below: of every channel alone, the fewest placements of its own
 * controls that show all its wrong entries, exactly. Takes a while; for the bench and the tests.
 */
export function atLeastPoses(setup: Setup): number {
  const telling = tellingOf(setup);
  return Math.max(
    1,
    ...telling.channels.map((c, at) => {
      const own = [...telling.wrong.keys()].filter((i) => touches(telling.wrong[i]!, c.channel));
      return fewest(
        placementsOf(setup, c.cone).map((h) => new Set(own.filter((i) => telling.tells(at, h, i)))),
      );
    }),
  );
}

/** Poses in an order in which little is moved from one to the next, nothing touched first. */
function inTurn(poses: readonly Hands[]): Hands[] {
  const left = [...poses];
  const order: Hands[] = [];
  let now: Hands = {};
  const moved = (a: Hands, b: Hands) =>
    new Set([...Object.keys(a), ...Object.keys(b)].filter((k) => a[k] !== b[k])).size;
  while (left.length > 0) {
    const next = left.reduce((a, b) => (moved(now, b) < moved(now, a) ? b : a));
    left.splice(left.indexOf(next), 1);
    order.push(next);
    now = next;
  }
  return order;
}

function poseOf(setup: Setup, hands: Hands, right: Monitor): Pose {
  const put = setup.transmitter.controls.filter(
    (c) => hands[c.id] !== undefined && hands[c.id] !== c.rest,
  );
  const places = put.map((c) => handWords(c, hands[c.id]!));
  const id = handsName(put.map((c) => `${c.id}=${hands[c.id]!}`).join());
  const column = setup.program.outputs.map(({ channel, carries }): ReadBack => {
    const { pct, holdS } = right.read(channel, hands);
    const eye = handsOn(setup, channel).some((c) => byEye(c, hands[c.id] ?? c.rest));
    return {
      id: `${id}-${channel}`,
      channel,
      carries,
      words: `${channelWords(setup, channel)}: ${places.join(', ') || 'nothing touched'}`,
      hands,
      holdS,
      predictedPct: pct,
      tolerancePct: eye ? BY_EYE_PCT : TOLERANCE_PCT,
    };
  });
  return { id, hands, places, holdS: Math.max(...column.map((r) => r.holdS)), column };
}
