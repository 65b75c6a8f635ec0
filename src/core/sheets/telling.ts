import { applyPatch, type PatchOperation } from '../patch';
import type { Control, Setup } from '../setup';
import { handsOn } from '../verify';
import { BY_EYE_PCT, byEye, TOLERANCE_PCT, valuesOf } from './hands';
import { monitorOf, type Hands, type Monitor } from './monitor';
import { wrongEntries, type WrongEntry } from './wrong';

/** More placements than this of the controls of one channel are not all tried. */
const MOST_PLACEMENTS = 400;

/** Where each wrong entry shows, found out as far as it is asked for. */
export interface Telling {
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

/** Whether a wrong entry can change this channel at all. */
export const touches = (w: WrongEntry, channel: number) =>
  w.channel === undefined || w.channel === channel;

/** The transmitter with a wrong entry in its program; everything else is shared with the right one. */
function entered(setup: Setup, { patch }: WrongEntry): Setup {
  return applyPatch(setup, patch);
}

/** Whether a change may make a program look at another hand; another number cannot. */
const rereads = (o: PatchOperation) =>
  o.op !== 'replace' || (typeof o.value !== 'number' && typeof o.value !== 'boolean');

/** Everything about the wrong entries of one program, worked out as it is asked for. */
export function tellingOf(setup: Setup): Telling {
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
export const withMore = (
  setup: Setup,
  own: readonly Control[],
  all: readonly Control[],
): Hands[] => (all.length === own.length ? [] : placementsOf(setup, all));

/** Every placement of some controls; where they are too many, every two of them with the rest at rest. */
export function placementsOf(setup: Setup, cone: readonly Control[]): Hands[] {
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
export function makesADifference(
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
