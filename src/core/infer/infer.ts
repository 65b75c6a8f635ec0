import { positionsOf, switchValue } from '../chain';
import {
  isSwitched,
  type Condition,
  type Control,
  type Line,
  type Shape,
  type Transmitter,
} from '../setup';
import { handWords } from '../sheets';
import { handControls, knownOf, type Known, type Reading } from './ask';
import {
  controlsIn,
  positionAt,
  SAME_PCT,
  termAt,
  type Leaf,
  type Points,
  type Seen,
  type Tree,
} from './tree';

/** One channel as the simplest lines that give what was read. */
export interface InferredChannel {
  channel: number;
  lines: Line[];
  shapes: Shape[];
  /** What the readings leave open, each with the reading that would tell. */
  open: string[];
}

/** Two readings that cannot both be of one program. */
export interface Contradiction {
  channel: number;
  /** Positions in the list of readings, from 0. */
  first: number;
  second: number;
  says: string;
}

/** A channel that may be several things, as far as was read. */
export interface Unsettled {
  channel: number;
  says: string;
}

export interface Inferred {
  /** Every channel is one simple program, as far as was read. */
  ok: boolean;
  channels: InferredChannel[];
  contradictions: Contradiction[];
  unsettled: Unsettled[];
  /** Channels that no simple program gives. */
  unexplained: number[];
  /** Places of controls nothing was read in: whatever they do is not known. */
  unread: string[];
}

/**
 * The simplest program that gives what was read: for each channel the smallest tree of switches whose leaves
 * are a fixed value, a share of one or two controls, with expo, or a curve of one. What needs memory (latches,
 * delays) shows in no reading and is not looked for. What several programs of one size give stays open.
 */
export function infer(transmitter: Transmitter, readings: readonly Reading[]): Inferred {
  const controls = handControls(transmitter);
  const result: Inferred = {
    ok: false,
    channels: [],
    contradictions: [],
    unsettled: [],
    unexplained: [],
    unread: unreadOf(controls, readings),
  };
  for (const known of knownOf(transmitter, readings)) {
    if (known.seen.length === 0) continue;
    const clash = clashOf(known.seen);
    if (clash) {
      const [first, second] = [
        readingOf(readings, known.channel, clash[0]),
        readingOf(readings, known.channel, clash[1]),
      ];
      result.contradictions.push({
        channel: known.channel,
        first,
        second,
        says: `Readings ${first + 1} and ${second + 1} have the controls in the same positions, but channel ${known.channel} shows ${known.seen[clash[0]]!.value} % in one and ${known.seen[clash[1]]!.value} % in the other.`,
      });
    } else if (known.trees.length === 0) result.unexplained.push(known.channel);
    else if (known.trees.length > 1)
      result.unsettled.push({ channel: known.channel, says: mayBe(controls, known) });
    else result.channels.push(written(controls, known));
  }
  result.ok = [result.contradictions, result.unsettled, result.unexplained].every(
    (list) => list.length === 0,
  );
  return result;
}

const readingOf = (readings: readonly Reading[], channel: number, seen: number): number =>
  readings.flatMap((r, i) => (r.channels[channel - 1] === undefined ? [] : [i]))[seen]!;

/** The first two of the same places that differ by more than a monitor rounds. */
function clashOf(seen: readonly Seen[]): [number, number] | undefined {
  for (const [i, a] of seen.entries())
    for (const [k, b] of seen.entries())
      if (
        k > i &&
        Math.abs(a.value - b.value) > 2 * SAME_PCT &&
        a.hands.every((v, h) => Math.abs(v - b.hands[h]!) < 1e-9)
      )
        return [i, k];
  return undefined;
}

/** Positions of switches, and ends of all else, that no reading has. */
function unreadOf(controls: readonly Control[], readings: readonly Reading[]): string[] {
  return controls.flatMap((c) => {
    const values = readings.map((r) => r.controls[c.id] ?? c.rest);
    const wanted = isSwitched(c)
      ? Array.from({ length: positionsOf(c.kind) }, (_, p) => switchValue(c.kind, p))
      : [-100, 100];
    return wanted
      .filter((w) => !values.some((v) => Math.abs(v - w) < 1))
      .map((w) => handWords(c, w));
  });
}

/** "Channel 3 may depend on Switch A, or on Switch G." */
function mayBe(controls: readonly Control[], { channel, seen, trees }: Known): string {
  const never = [...new Set(trees.flatMap(controlsIn))].flatMap((i) =>
    isSwitched(controls[i]!) ? neverAt(controls[i]!, i, seen) : [],
  );
  const ways = new Set(
    trees.map(
      (t) =>
        [...new Set(controlsIn(t))]
          .toSorted((a, b) => a - b)
          .map((i) => controls[i]!.label)
          .join(' and ') || 'nothing',
    ),
  );
  const [first, ...others] = [...ways].slice(0, MOST_WAYS);
  return others.length === 0
    ? `Channel ${channel} depends on ${first}, in a way that is not settled yet.${never.map((w) => ` ${w}`).join('')}`
    : `Channel ${channel} may depend on ${[first, ...others].join(', or on ')}.`;
}
const MOST_WAYS = 4;

/** Positions of a switch that no reading of a channel has, each as what is to be read. */
const neverAt = (control: Control, at: number, seen: readonly Seen[]): string[] =>
  neverRead(control, at, seen).map(
    (p) =>
      `Nothing was read with ${control.label} at ${switchValue(control.kind, p)} %: read one row there.`,
  );

function neverRead(control: Control, at: number, seen: readonly Seen[]): number[] {
  const read = new Set(seen.map((r) => positionAt(control, r.hands[at]!)));
  return Array.from({ length: positionsOf(control.kind) }, (_, p) => p).filter((p) => !read.has(p));
}

const isFixed = (tree: Tree): boolean => tree.kind === 'leaf' && tree.terms.length === 0;

/** A tree as lines of the format, with what it leaves open. */
function written(controls: readonly Control[], { channel, seen, trees }: Known): InferredChannel {
  const lines: Line[] = [];
  const shapes: Shape[] = [];
  const open: string[] = [];
  const straight = new Set<number>();
  let leaves = 0;
  const write = (tree: Tree, conditions: readonly Condition[]): void => {
    if (tree.kind === 'split') {
      const control = controls[tree.of]!;
      const at = (position: number): Condition => ({
        kind: 'switch',
        control: control.id,
        position,
      });
      const never = neverRead(control, tree.of, seen);
      for (const says of neverAt(control, tree.of, seen)) if (!open.includes(says)) open.push(says);
      const here = [...conditions, ...never.map((p): Condition => ({ kind: 'not', of: at(p) }))];
      // A later line has the last word, so what stands first needs no condition of its own. A fixed value
      // stands over what follows a control, as a throttle cut does.
      const isOver = positionsOf(control.kind) === 2 && isFixed(tree.other) && !isFixed(tree.at);
      write(isOver ? tree.at : tree.other, here);
      write(isOver ? tree.other : tree.at, [
        ...conditions,
        at(isOver ? 1 - tree.position : tree.position),
      ]);
      return;
    }
    leaves += 1;
    const when: Pick<Line, 'when'> =
      conditions.length === 0
        ? {}
        : {
            when: conditions.length === 1 ? conditions[0]! : { kind: 'all', of: [...conditions] },
          };
    const line = (k: number, more: Partial<Line> & Pick<Line, 'follows'>): Line => ({
      id: `read-${channel}-${leaves}-${k + 1}`,
      channel,
      sharePct: 0,
      shiftPct: 0,
      effect: k === 0 && (leaves > 1 || conditions.length > 0) ? 'takes-over' : 'adds',
      ...when,
      ...more,
    });
    const shaped = (k: number, of: number, points: Points['points'], shiftPct: number) => {
      const shape = `read-${channel}-${leaves}-${k + 1}`;
      shapes.push({
        id: shape,
        label: `Channel ${channel}, ${controls[of]!.label} as read`.slice(0, 80),
        points: points.map(([inPct, outPct]) => ({ inPct, outPct: tidy(outPct) })),
      });
      lines.push(
        line(k, {
          follows: { kind: 'control', id: controls[of]!.id },
          sharePct: 100,
          shiftPct,
          shape,
        }),
      );
    };
    if (tree.kind === 'points') return shaped(0, tree.of, tree.points, 0);
    if (tree.terms.length === 0)
      return void lines.push(line(0, { follows: { kind: 'fixed' }, sharePct: tidy(tree.shift) }));
    const isCut = tree.least > -Infinity || tree.most < Infinity;
    tree.terms.forEach((term, k) => {
      const { of, plainPct, bentPct } = term;
      const shiftPct = k === 0 ? tidy(tree.shift) : 0;
      if (tree.terms.length === 1 && (bentPct !== 0 || isCut))
        return shaped(k, of, curveOf(tree), 0);
      if (bentPct !== 0)
        return shaped(k, of, curveOf({ ...tree, shift: 0, terms: [term] }), shiftPct);
      straight.add(of);
      lines.push(
        line(k, {
          follows: { kind: 'control', id: controls[of]!.id },
          sharePct: tidy(plainPct),
          shiftPct,
        }),
      );
    });
  };
  write(trees[0]!, []);
  for (const of of straight) {
    const values = new Set(seen.map((s) => s.hands[of]));
    if (values.size === 2)
      open.push(
        `${controls[of]!.label} was read in two positions: one more between them shows whether it is a straight line.`,
      );
  }
  return { channel, lines, shapes, open };
}

/** Places a curve is drawn through; between them it is straight. */
const DRAWN_AT = [-100, -80, -60, -40, -20, 0, 20, 40, 60, 80, 100];

const curveOf = ({ shift, terms: [term], least, most }: Leaf): Points['points'] =>
  DRAWN_AT.map(
    (inPct) => [inPct, Math.min(most, Math.max(least, shift + termAt(term!, inPct)))] as const,
  );

/** Numbers as people enter them: whole where they nearly are. */
const tidy = (value: number): number => {
  const whole = Math.round(value);
  return Math.abs(value - whole) < 0.35 ? whole : Math.round(value * 10) / 10;
};
