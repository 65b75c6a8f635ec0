import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';
import {
  compileChain,
  controlWords,
  describeSurface,
  gainWords,
  modeWords,
  positionsOf,
  switchValue,
  type Chain,
  type Frame,
  type Memory,
  type Stimulus,
} from '../../chain';
import {
  allReads,
  capital,
  controlsWished,
  functionOf,
  printed,
  readsOfLine,
  readsOfLogic,
  type Control,
  type Program,
  type ProgramWishes,
  type Read,
  type Setup,
  type WishId,
} from '../../setup';
import { LISTS } from './draft';
import { rewrite } from './write';

/** Something done with the transmitter, in order: a control put somewhere, the signal, a wait. */
export type Done = { control: string; value: number } | { waitS: number } | { linkUp: boolean };

/** A moment in which the program does otherwise than one of the choices would write it. */
export interface Difference {
  wish: WishId;
  /** What leads there, from power-up. */
  done: readonly Done[];
  /** The moment, in words. */
  when: string;
  /** What the choice gives then, and what the program gives. */
  chosen: string;
  given: string;
  /** Channels that cannot send the chosen value: writing the choice again changes nothing. */
  unsent: readonly number[];
  /** Names this difference: another one has another name. */
  name: string;
}

/** A choice that cannot be written any more, and why. */
export interface Unwritable {
  wish: WishId;
  reasons: readonly string[];
}

/** Share of an entry step by which a value may be off: rounding, and no more. */
const ROUNDING = 0.51;
/** Places of a control that has no positions. */
const SOME_PLACES = [-100, -50, 0, 50, 100];
/** Controls tried against each other at most; those named by the choice come first. */
const MOST_TOGETHER = 4;
/** Long enough for whatever is held, latched or moved slowly. */
const HELD_S = 6;

/**
 * The first moment in which a program does otherwise than its choice says: what the choice would write,
 * in the place of what stands for it, is played beside what is there, with every control that either of
 * them reads. What is chosen is thereby said in one place, by whoever writes it. It is played on channels
 * that send every value, so that a switch-only channel shows up as a difference.
 * @returns undefined where they agree
 */
export function differs(setup: Setup, wish: WishId): Difference | Unwritable | undefined {
  const again = rewrite(setup, wish, true);
  if (again.reasons.length > 0) return { wish, reasons: again.reasons };
  const apart = entriesApart(setup.program, again.setup.program);
  const stepped = steppedOf(again.setup, wish);
  if (
    apart.length === 0 &&
    stepped.length === 0 &&
    canonicalize(setup.unit) === canonicalize(again.setup.unit)
  )
    return undefined;
  const listed = listedApart(setup, again.setup);
  if (listed) return named({ wish, done: [], when: 'in the list', unsent: [], ...listed });
  const controls = controlsTried(setup, again.setup, wish, apart);
  const pair = { chosen: new Played(sendingAll(again.setup, stepped)), given: new Played(setup) };
  for (const moves of tries(controls)) {
    pair.chosen.begin();
    pair.given.begin();
    const done: Done[] = [];
    for (const move of moves) {
      done.push(move);
      pair.chosen.do(move);
      pair.given.do(move);
      const found = apartIn(setup, pair.chosen.frame, pair.given.frame, stepped);
      if (!found) continue;
      const written = new Played(again.setup);
      written.begin();
      for (const again of done) written.do(again);
      const unsent = apartIn(setup, pair.chosen.frame, written.frame, stepped) ? stepped : [];
      return named({ wish, done, when: momentWords(setup, done), unsent, ...found });
    }
  }
  return undefined;
}

/** Channels of a choice that know the positions of a switch and nothing between. */
function steppedOf({ program, transmitter }: Setup, wish: WishId): number[] {
  const own = program.lines.filter((l) => l.owner === wish).map((l) => l.channel);
  return transmitter.switchOnly.filter((c) => own.includes(c));
}

/** The same Setup with a transmitter that sends every value on these channels as well. */
function sendingAll(setup: Setup, channels: readonly number[]): Setup {
  const switchOnly = setup.transmitter.switchOnly.filter((c) => !channels.includes(c));
  return { ...setup, transmitter: { ...setup.transmitter, switchOnly } };
}

/** Why a choice cannot be sent. */
export const unsentWords = ({ unsent, when, chosen, given }: Difference): string =>
  `${unsent.length === 1 ? `Channel ${unsent[0]} sends` : `Channels ${unsent.slice(0, -1).join(', ')} and ${unsent.at(-1)} send`} the positions of a switch and nothing between. ${capital(when)}: chosen ${chosen}, but the program can only give ${given}.`;

const named = (d: Omit<Difference, 'name'>): Difference => ({
  ...d,
  name: bytesToHex(sha256(utf8ToBytes(canonicalize([d.done, d.chosen, d.given])!))).slice(0, 32),
});

/** What is spoken and timed reaches no channel: it is compared as it is written. */
function listedApart(given: Setup, chosen: Setup): { chosen: string; given: string } | undefined {
  const spoken = ({ program }: Setup) =>
    program.callouts.map(({ say, when, reading, moved }) => ({
      words: reading ? `${say}, with a value` : say,
      data: canonicalize([say, when, reading, moved]),
    }));
  const timed = ({ program }: Setup) =>
    program.timers.map(({ seconds, ...rest }) => ({
      words: `${Math.round(seconds / 6) / 10} min`,
      data: canonicalize([seconds, 'runs' in rest ? rest.runs : undefined]),
    }));
  for (const list of [spoken, timed]) {
    const [own, other] = [list(chosen), list(given)];
    if (canonicalize(own) !== canonicalize(other))
      return { chosen: apartWords(own, other), given: apartWords(other, own) };
  }
  return undefined;
}

/** Those of a list that are not in the other. */
function apartWords(
  list: readonly { words: string; data: string | undefined }[],
  other: readonly { data: string | undefined }[],
): string {
  const only = list.filter((e) => !other.some((o) => o.data === e.data)).map((e) => e.words);
  return only.length > 0 ? `“${only.join('”, “')}”` : 'nothing';
}

/** Entries that stand in one program and not in the other; order counts. */
function entriesApart(a: Program, b: Program): { of: Program; reads: Read[] }[] {
  const contents = (p: Program) =>
    new Map(LISTS.flatMap((list) => p[list].map((e, i) => [canonicalize([list, i, e])!, e])));
  const [ours, theirs] = [contents(a), contents(b)];
  const only = (p: Program, own: Map<string, object>, other: Map<string, object>) =>
    [...own].filter(([key]) => !other.has(key)).map(([, e]) => ({ of: p, reads: readsOfEntry(e) }));
  return [...only(a, ours, theirs), ...only(b, theirs, ours)];
}

function readsOfEntry(entry: object): Read[] {
  if ('effect' in entry) {
    const line = entry as Program['lines'][number];
    // What else has a say in its channel decides whether it shows: a cut is seen with the throttle open.
    return [...readsOfLine(line), { kind: 'channel', channel: line.channel, path: [] }];
  }
  if ('op' in entry) return readsOfLogic(entry as Program['logic'][number]);
  return [];
}

function controlsTried(
  setup: Setup,
  other: Setup,
  wish: WishId,
  apart: readonly { of: Program; reads: Read[] }[],
): Control[] {
  const value = setup.intents.program[wish as keyof ProgramWishes];
  const named = controlsWished({ rates: { by: 'one', pct: 100, expoPct: 0 }, [wish]: value });
  const read = apart.flatMap(({ of, reads }) =>
    allReads(of, reads).flatMap((r) => (r.kind === 'control' && !r.trim ? [r.id] : [])),
  );
  const all = new Map(
    [...setup.transmitter.controls, ...other.transmitter.controls].map((c) => [c.id, c]),
  );
  return [...new Set([...named, ...read])]
    .flatMap((id) => all.get(id) ?? [])
    .filter((c) => c.kind !== 'trim')
    .slice(0, MOST_TOGETHER);
}

const placesOf = ({ kind }: Control): readonly number[] =>
  kind === 'stick'
    ? [-100, 0, 100]
    : kind === 'knob' || kind === 'slider'
      ? SOME_PLACES
      : Array.from({ length: positionsOf(kind) }, (_, p) => switchValue(kind, p));

/** Every combination of places: taken, held, let go, and the signal lost in it. */
function* tries(controls: readonly Control[]): Generator<Done[]> {
  const all = controls.reduce<Done[][]>(
    (list, c) =>
      list.flatMap((before) =>
        placesOf(c).map((value) =>
          value === c.rest ? before : [...before, { control: c.id, value }],
        ),
      ),
    [[]],
  );
  for (const moves of all.toSorted((a, b) => a.length - b.length)) {
    const back = controls.map((c): Done => ({ control: c.id, value: c.rest }));
    yield [...moves, { waitS: 0 }, { waitS: HELD_S }, ...back, { waitS: 0 }, { waitS: HELD_S }];
    yield [...moves, { waitS: HELD_S }, { linkUp: false }, { waitS: 0 }, { waitS: HELD_S }];
  }
}

/** Orders whose effect shows in the frame at once. */
const ORDERS = ['mode', 'gain'];

/** A program played from power-up, armed, everything at rest. */
class Played {
  readonly frame: Frame;
  private readonly chain: Chain;
  private stimulus!: Stimulus;
  private memory!: Memory;

  constructor(private readonly setup: Setup) {
    this.chain = compileChain(setup);
    this.frame = this.chain.newFrame();
  }

  begin(): void {
    this.stimulus = this.chain.restStimulus();
    this.memory = this.chain.newMemory();
    this.memory.armed = true;
    this.step(0);
  }

  /** Controls only show once time is asked for, however little. */
  do(move: Done): void {
    if ('control' in move) {
      const at = this.setup.transmitter.controls.findIndex((c) => c.id === move.control);
      this.stimulus.controls[at] = move.value;
    } else if ('linkUp' in move) this.stimulus.linkUp = move.linkUp;
    else {
      this.step(0);
      for (let s = 0; s < move.waitS; s += 0.5) this.step(0.5);
    }
  }

  private step(dtS: number): void {
    this.stimulus.dtS = dtS;
    this.chain.step(this.stimulus, this.memory, this.frame);
  }
}

/**
 * What two frames of one moment differ in, said of each: the mode, then what a channel carries.
 * @param stepped channels that cannot send every pulse: their mode and gain orders are compared by effect
 */
function apartIn(
  setup: Setup,
  chosen: Frame,
  given: Frame,
  stepped: readonly number[],
): { chosen: string; given: string } | undefined {
  const both = (words: (frame: Frame) => string) => ({
    chosen: words(chosen),
    given: words(given),
  });
  if (chosen.mode !== given.mode) return both((f) => modeWords(setup.unit, f.mode));
  const { transmitter, program, unit, airframe } = setup;
  const most = ROUNDING * (transmitter.pulse.usAt100 / 100) * (transmitter.stepPct ?? 1);
  for (const { channel, carries } of program.outputs) {
    const [p, q] = [chosen.receivedUs[channel - 1]!, given.receivedUs[channel - 1]!];
    if (Number.isNaN(p) === Number.isNaN(q) && !(Math.abs(p - q) > most)) continue;
    const pct = ({ receivedUs }: Frame) => {
      const us = receivedUs[channel - 1]!;
      return Number.isNaN(us)
        ? 'nothing'
        : `${printed(Math.round(((us - transmitter.pulse.centreUs) / transmitter.pulse.usAt100) * 100))} %`;
    };
    if (carries.startsWith('gain') && gainOf(chosen) !== gainOf(given)) return both(gainOf);
    if (functionOf(carries).role === 'motor' && !same(chosen.motorPct, given.motorPct))
      return both((f) => motorWords(airframe, f));
    const servo = airframe.servos.find((s) => s.carries === carries)?.id;
    const at = airframe.surfaces.findIndex((s) => s.servo === servo);
    if (at >= 0 && Math.abs(chosen.surfaceDeg[at]! - given.surfaceDeg[at]!) >= 1)
      return both((f) => describeSurface(airframe.surfaces[at]!, f.surfaceDeg[at]!));
    if (stepped.includes(channel) && ORDERS.some((o) => carries.startsWith(o))) continue;
    const name = unit.settings.inputs.some((i) => i.channel === channel)
      ? functionOf(carries).words
      : `channel ${channel}`;
    return both((f) => `${name} at ${pct(f)}`);
  }
  const moved = airframe.surfaces.findIndex(
    (_, i) => Math.abs(chosen.surfaceDeg[i]! - given.surfaceDeg[i]!) >= 1,
  );
  return moved < 0
    ? undefined
    : both((f) => describeSurface(airframe.surfaces[moved]!, f.surfaceDeg[moved]!));
}

/** "motor 50 %"; of several motors each by its name. */
const motorWords = ({ motors }: Setup['airframe'], { motorPct }: Frame): string =>
  motors
    .map(
      ({ label }, i) =>
        `${motors.length > 1 ? label.toLowerCase() : 'motor'} ${Math.round(Math.max(0, motorPct[i]!))} %`,
    )
    .join(', ');

const gainOf = (frame: Frame): string => `gain ${gainWords(Math.max(...frame.gainPct))}`;
const same = (a: Float64Array, b: Float64Array): boolean =>
  a.every((v, i) => Math.abs(v - b[i]!) < 1);

/** "Switch B near", "Momentary M pressed, held for 6 s, released" */
function momentWords(setup: Setup, done: readonly Done[]): string {
  const now = new Map<string, string>();
  let held = false;
  let released = false;
  let lost = false;
  for (const move of done)
    if ('control' in move) {
      const control = setup.transmitter.controls.find((c) => c.id === move.control)!;
      released ||= held;
      if (move.value === control.rest && !control.kind.startsWith('switch'))
        now.delete(move.control);
      else now.set(move.control, controlWords(control, move.value));
    } else if ('linkUp' in move) lost = !move.linkUp;
    else held ||= move.waitS > 0;
  const stands = [...now.values()].join(', ') || 'everything at rest';
  const after = lost
    ? ', the signal lost'
    : released
      ? ', afterwards'
      : held
        ? ', after a while'
        : '';
  return `${stands}${after}`;
}
