import { positionsOf, switchValue } from '../chain';
import type { Condition, Control, Line, Shape, Transmitter } from '../setup';
import { byEye, BY_EYE_PCT } from '../sheets';
import { fitChannel, type Fit } from './fit';

/** Where the controls are, and what the monitor showed then. */
export interface Reading {
  /** Value of each control that was not at rest, by id. */
  controls: Readonly<Record<string, number>>;
  /** Percent of each channel, the first one first; undefined where nothing was read. */
  channels: readonly (number | undefined)[];
}

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

export type Inferred =
  | { ok: true; channels: InferredChannel[] }
  | {
      ok: false;
      contradictions: Contradiction[];
      /** Channels that no simple program gives. */
      unexplained: number[];
      /** All the others. */
      channels: InferredChannel[];
    };

/** Monitors round, and hands are not exact. */
export const SAME_PCT = 0.75;

/**
 * The simplest program that gives what was read: for each channel a fixed value, a share of one
 * control or of two, a curve of one, a sum of several, or one of these for each place of up to three
 * switches. What
 * needs memory (latches, delays) shows in no reading and is not looked for.
 */
export function infer(transmitter: Transmitter, readings: readonly Reading[]): Inferred {
  const { controls } = transmitter;
  const hands = readings.map((r) => controls.map((c) => r.controls[c.id] ?? c.rest));
  const channels = Math.max(0, ...readings.map((r) => r.channels.length));
  const contradictions: Contradiction[] = [];
  const unexplained: number[] = [];
  const found: InferredChannel[] = [];
  for (let at = 0; at < channels; at++) {
    const seen = readings.flatMap((r, i) => {
      const value = r.channels[at];
      return value === undefined ? [] : [{ index: i, hands: hands[i]!, value }];
    });
    if (seen.length === 0) continue;
    const clash = clashOf(seen);
    if (clash) {
      const [a, b] = clash;
      contradictions.push({
        channel: at + 1,
        first: a.index,
        second: b.index,
        says: `Readings ${a.index + 1} and ${b.index + 1} have the same hands, and channel ${at + 1} shows ${a.value} % in one and ${b.value} % in the other.`,
      });
      continue;
    }
    const fit = fitChannel(controls, seen, (s) =>
      s.hands.some((v, i) => byEye(controls[i]!, v)) ? BY_EYE_PCT : SAME_PCT,
    );
    if (!fit) unexplained.push(at + 1);
    else found.push(written(controls, at + 1, fit, seen));
  }
  return contradictions.length + unexplained.length > 0
    ? { ok: false, contradictions, unexplained, channels: found }
    : { ok: true, channels: found };
}

interface Seen {
  index: number;
  hands: readonly number[];
  value: number;
}

function clashOf(seen: readonly Seen[]): [Seen, Seen] | undefined {
  for (const [i, a] of seen.entries())
    for (const b of seen.slice(i + 1))
      if (
        Math.abs(a.value - b.value) > 2 * SAME_PCT &&
        a.hands.every((v, k) => Math.abs(v - b.hands[k]!) < 1e-9)
      )
        return [a, b];
  return undefined;
}

/** A fit as lines of the format, with what it leaves open. */
function written(
  controls: readonly Control[],
  channel: number,
  { switches, branches }: Fit,
  seen: readonly Seen[],
): InferredChannel {
  const lines: Line[] = [];
  const shapes: Shape[] = [];
  const open: string[] = [];
  const places = switches.map((s) => positionsOf(controls[s]!.kind));
  const count = places.reduce((a, b) => a * b, 1);
  const straight = new Set<number>();
  for (let n = 0; n < count; n++) {
    const at = switches.map((_, k) => {
      const before = places.slice(0, k).reduce((a, b) => a * b, 1);
      return Math.floor(n / before) % places[k]!;
    });
    const conditions = switches.map((s, k): Condition => ({
      kind: 'switch',
      control: controls[s]!.id,
      position: at[k]!,
    }));
    const when: Pick<Line, 'when'> =
      conditions.length === 0
        ? {}
        : { when: conditions.length === 1 ? conditions[0]! : { kind: 'all', of: conditions } };
    const branch = branches.get(at.join());
    if (!branch) {
      open.push(
        `Nothing was read with ${switches.map((s, k) => `${controls[s]!.label} at ${switchValue(controls[s]!.kind, at[k]!)} %`).join(' and ')}: one reading there tells.`,
      );
      continue;
    }
    const id = (k: number) => `read-${channel}-${n + 1}-${k + 1}`;
    const line = (k: number, more: Partial<Line> & Pick<Line, 'follows'>): Line => ({
      id: id(k),
      channel,
      sharePct: 0,
      shiftPct: 0,
      effect: switches.length > 0 && k === 0 ? 'takes-over' : 'adds',
      ...when,
      ...more,
    });
    if (branch.kind === 'curve') {
      const shape = `read-${channel}-${n + 1}`;
      shapes.push({
        id: shape,
        label: `Channel ${channel} as read`,
        points: branch.points.map(([inPct, outPct]) => ({ inPct, outPct })),
      });
      lines.push(
        line(0, {
          follows: { kind: 'control', id: controls[branch.of]!.id },
          sharePct: 100,
          shape,
        }),
      );
    } else if (branch.kind === 'sum') {
      branch.terms.forEach(({ of, points }, k) => {
        const shape = `read-${channel}-${n + 1}-${k + 1}`;
        shapes.push({
          id: shape,
          label: `Channel ${channel}, ${controls[of]!.label} as read`,
          points: points.map(([inPct, outPct]) => ({ inPct, outPct })),
        });
        lines.push(
          line(k, {
            follows: { kind: 'control', id: controls[of]!.id },
            sharePct: 100,
            shiftPct: k === 0 ? tidy(branch.shift) : 0,
            shape,
          }),
        );
      });
    } else if (branch.terms.length === 0)
      lines.push(line(0, { follows: { kind: 'fixed' }, sharePct: tidy(branch.shift) }));
    else
      branch.terms.forEach(({ of, share }, k) => {
        straight.add(of);
        lines.push(
          line(k, {
            follows: { kind: 'control', id: controls[of]!.id },
            sharePct: tidy(share),
            shiftPct: k === 0 ? tidy(branch.shift) : 0,
          }),
        );
      });
  }
  for (const of of straight) {
    const values = new Set(seen.map((s) => s.hands[of]));
    if (values.size === 2)
      open.push(
        `${controls[of]!.label} was read in two places: one more between them tells whether it goes straight.`,
      );
  }
  return { channel, lines, shapes, open };
}

/** Numbers as people enter them: whole where they nearly are. */
const tidy = (value: number): number => {
  const whole = Math.round(value);
  return Math.abs(value - whole) < 0.35 ? whole : Math.round(value * 10) / 10;
};
