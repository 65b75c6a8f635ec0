import { positionsOf, switchValue } from '../chain';
import { applyShared, type PatchOperation } from '../patch';
import type { ChannelFunction, Control, Setup } from '../setup';
import { handsOn } from '../verify';
import { cover, fewest } from './cover';
import { monitorOf, type Hands, type Monitor } from './monitor';
import { channelWords, placeWords } from './words';
import { wrongEntries, type WrongEntry } from './wrong';

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
  /** What is put away from rest, one control each; empty with nothing touched. */
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

/**
 * Monitors round to whole percent and switches, sticks and knobs stop a little short of their ends;
 * more than this is another value. Common practice, no source.
 */
export const TOLERANCE_PCT = 3;
/** The same where something is held between its ends by eye. Common practice, no source. */
export const BY_EYE_PCT = 5;
/** Where expo bends a stick most, 100 · √⅓, rounded to what an eye can tell. */
const HALF_WAY_PCT = 60;
/** More placements than this of the controls of one channel are not all tried. */
const MOST_PLACEMENTS = 400;

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

/** Where a control can be put for a reading. */
function valuesOf(setup: Setup, control: Control): number[] {
  switch (control.kind) {
    case 'switch-2':
    case 'switch-3':
    case 'momentary':
      return Array.from({ length: positionsOf(control.kind) }, (_, p) =>
        switchValue(control.kind, p),
      );
    case 'stick':
      return control.rest === 0 ? [0, -100, HALF_WAY_PCT, 100] : [-100, HALF_WAY_PCT, 100];
    default:
      return [...new Set([control.rest, -100, 0, HALF_WAY_PCT, 100, ...cornersOf(setup, control)])];
  }
}

/** Corners of shapes that a knob or slider is sent through. */
const cornersOf = ({ program }: Setup, { id }: Control): number[] =>
  program.lines.flatMap((l) =>
    l.follows.kind === 'control' && l.follows.id === id && l.shape
      ? program.shapes.find((s) => s.id === l.shape)!.points.map((p) => p.inPct)
      : [],
  );

/** A place that no end or detent gives: the hand is held there by eye. */
function byEye(control: Control, value: number): boolean {
  if (Math.abs(value) === 100 || control.kind === 'momentary') return false;
  if (control.kind === 'switch-2' || control.kind === 'switch-3') return false;
  return value !== control.rest || control.kind !== 'stick';
}

/** Where each wrong entry shows, found out as far as it is asked for. */
interface Telling {
  channels: readonly { channel: number; cone: readonly Control[] }[];
  wrong: readonly WrongEntry[];
  right: Monitor;
  /** The monitor of a transmitter with the wrong entry of this number. */
  monitor(i: number): Monitor;
  /** Whether a value of this channel tells the wrong entry with the hands so. */
  tells(at: number, hands: Hands, i: number): boolean;
  /** The controls a channel looks at with the wrong entry of this number. */
  cone(at: number, i: number): readonly Control[];
}

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

const touches = (w: WrongEntry, channel: number) =>
  w.channel === undefined || w.channel === channel;

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

/** The transmitter with a wrong entry in its program; everything else is shared with the right one. */
function entered(setup: Setup, { patch }: WrongEntry): Setup {
  return applyShared(setup, patch);
}

/** Whether a change may make a program look at another hand; another number cannot. */
const rereads = (o: PatchOperation) =>
  o.op !== 'replace' || (typeof o.value !== 'number' && typeof o.value !== 'boolean');

function tellingOf(setup: Setup): Telling {
  const right = monitorOf(setup);
  const wrong = wrongEntries(setup).filter((w) => w.step !== 'link');
  const monitors: Monitor[] = [];
  const monitor = (i: number) => (monitors[i] ??= monitorOf(entered(setup, wrong[i]!)));
  const channels = setup.program.outputs.map(({ channel }) => ({
    channel,
    cone: handsOn(setup, channel),
  }));
  const put = (cone: readonly Control[], hands: Hands) => {
    let key = '';
    for (const c of cone) key += `${hands[c.id] ?? c.rest},`;
    return key;
  };
  /** The placement of each channel's own controls, once for hands that are asked about many entries. */
  const puts = new WeakMap<Hands, string[]>();
  const putAt = (at: number, hands: Hands) => {
    const known = puts.get(hands) ?? [];
    puts.set(hands, known);
    return (known[at] ??= put(channels[at]!.cone, hands));
  };
  /** By channel and placement: the right value, and how far off tells. */
  const rightly = channels.map(() => new Map<string, { pct: number; least: number }>());
  const rightAt = (at: number, hands: Hands) => {
    const { channel, cone } = channels[at]!;
    const key = putAt(at, hands);
    const known = rightly[at]!.get(key);
    if (known) return known;
    const eye = cone.some((c) => byEye(c, hands[c.id] ?? c.rest));
    const value = {
      pct: right.read(channel, hands).pct,
      least: (eye ? BY_EYE_PCT : TOLERANCE_PCT) + 0.5,
    };
    rightly[at]!.set(key, value);
    return value;
  };
  /** A wrong entry may bring a hand in that has nothing to do with the channel otherwise. */
  const cones = channels.map((): (readonly Control[])[] => []);
  const coneOfWrong = (at: number, i: number): readonly Control[] => {
    const { channel, cone } = channels[at]!;
    if (!wrong[i]!.patch.some(rereads)) return cone;
    return (cones[at]![i] ??= [
      ...new Set([...cone, ...handsOn(entered(setup, wrong[i]!), channel)]),
    ]);
  };
  const told = channels.map((): Map<string, boolean>[] => []);
  const tells = (at: number, hands: Hands, i: number): boolean => {
    const cone = coneOfWrong(at, i);
    const key = cone.length === channels[at]!.cone.length ? putAt(at, hands) : put(cone, hands);
    const own = (told[at]![i] ??= new Map<string, boolean>());
    const known = own.get(key);
    if (known !== undefined) return known;
    const { pct, least } = rightAt(at, hands);
    const shows = Math.abs(monitor(i).read(channels[at]!.channel, hands).pct - pct) > least;
    own.set(key, shows);
    return shows;
  };
  return { channels, wrong, right, monitor, tells, cone: coneOfWrong };
}

/** Placements with a hand that only a wrong entry brings in, away from rest. */
const withMore = (setup: Setup, own: readonly Control[], all: readonly Control[]): Hands[] =>
  all.length === own.length ? [] : placementsOf(setup, all);

/** Every placement of some controls; where they are too many, every two of them with the rest at rest. */
function placementsOf(setup: Setup, cone: readonly Control[]): Hands[] {
  const values = cone.map((c) => valuesOf(setup, c));
  const all = values.reduce((n, v) => n * v.length, 1);
  if (all <= MOST_PLACEMENTS) return combine(cone, values);
  return cone.flatMap((a, i) =>
    cone.slice(i + 1).flatMap((b, j) => combine([a, b], [values[i]!, values[i + 1 + j]!])),
  );
}

const combine = (controls: readonly Control[], values: readonly number[][]): Hands[] =>
  controls.reduce<Hands[]>(
    (list, c, i) => list.flatMap((h) => values[i]!.map((v) => ({ ...h, [c.id]: v }))),
    [{}],
  );

/** Whether a wrong entry that no reading tells does anything at all, sought with the hands all over. */
function makesADifference(
  setup: Setup,
  { channel }: WrongEntry,
  right: Monitor,
  wrong: Monitor,
): boolean {
  const { transmitter, program } = setup;
  return program.outputs
    .filter((o) => channel === undefined || o.channel === channel)
    .some((o) =>
      transmitter.controls.some((c) =>
        (turns(c) ? [-100, -50, 0, 50, 100] : valuesOf(setup, c)).some(
          (v) =>
            Math.abs(
              right.read(o.channel, { [c.id]: v }).pct - wrong.read(o.channel, { [c.id]: v }).pct,
            ) > 1,
        ),
      ),
    );
}

const turns = ({ kind }: Control) => kind !== 'momentary' && !kind.startsWith('switch');

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
  const id = idOf(put.map((c) => `${c.id}=${hands[c.id]!}`).join());
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

/** The same hands have the same name, whatever else is in the program. FNV-1a, 32 bits. */
function idOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i);
    hash = Math.imul(hash, 0x01000193);
  }
  return `p${(hash >>> 0).toString(16).padStart(8, '0')}`;
}

const STICK_WORDS: Partial<Record<ChannelFunction, readonly [low: string, high: string]>> = {
  throttle: ['low', 'high'],
  elevator: ['towards you', 'away from you'],
};

/** "Aileron stick right", "Aileron stick a little over half way right", "Knob 1 at its high end" */
function handWords(control: Control, value: number): string {
  switch (control.kind) {
    case 'switch-2':
    case 'switch-3':
    case 'momentary': {
      const count = positionsOf(control.kind);
      return placeWords(control, Math.round(((value + 100) / 200) * (count - 1)));
    }
    case 'stick': {
      const [low, high] = STICK_WORDS[control.hand ?? 'aileron'] ?? ['left', 'right'];
      if (value === 0) return `${control.label} half way`;
      const way = value < 0 ? low : high;
      return `${control.label} ${Math.abs(value) === 100 ? 'fully' : 'a little over half way'} ${way}`;
    }
    default:
      return `${control.label} ${
        value === 0
          ? 'in the middle'
          : Math.abs(value) === 100
            ? `at its ${value < 0 ? 'low' : 'high'} end`
            : value === HALF_WAY_PCT
              ? 'a little over half way up'
              : `where it shows ${value < 0 ? '−' : '+'}${Math.abs(value)} %`
      }`;
  }
}
