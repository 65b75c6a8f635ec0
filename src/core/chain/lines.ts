import type { Curve, Line, Setup } from '../setup';
import {
  compileCondition,
  compileSource,
  readSource,
  type CompiledSource,
  type Test,
} from './conditions';
import type { Frame, Layout, Stimulus } from './frame';

/**
 * Straight lines between the points of a curve; level beyond its ends.
 * @param points rising in `inPct`, at least two
 */
export function curveAt(points: Curve['points'], inPct: number): number {
  const first = points[0]!;
  if (inPct <= first.inPct) return first.outPct;
  for (let i = 1; i < points.length; i++) {
    const right = points[i]!;
    if (inPct > right.inPct) continue;
    const left = points[i - 1]!;
    const share = (inPct - left.inPct) / (right.inPct - left.inPct);
    return left.outPct + share * (right.outPct - left.outPct);
  }
  return points[points.length - 1]!.outPct;
}

interface CompiledLine {
  source: CompiledSource;
  weight: number;
  offsetPct: number;
  points: Curve['points'] | undefined;
  when: Test | undefined;
  op: Line['op'];
}

export interface CompiledChannel {
  at: number;
  lines: readonly CompiledLine[];
  /** The only line, when it does nothing but scale its source: most channels are like that. */
  plain: CompiledLine | undefined;
}

/** Second link: the lines of one channel, in order. */
export function compileChannel(setup: Setup, layout: Layout, channel: number): CompiledChannel {
  const lines = setup.program.lines
    .filter((line) => line.channel === channel)
    .map((line) => ({
      source: compileSource(line.source, layout),
      weight: line.weightPct / 100,
      offsetPct: line.offsetPct,
      points: setup.program.curves.find((c) => c.id === line.curve)?.points,
      when: line.when && compileCondition(line.when, layout, setup),
      op: line.op,
    }));
  const [first] = lines;
  const plain =
    lines.length === 1 && first && !first.when && !first.points && first.op !== 'multiply';
  return { at: channel - 1, lines, plain: plain ? first : undefined };
}

/** Each line adds to, multiplies or replaces what stands so far. */
export function runChannel(channel: CompiledChannel, stimulus: Stimulus, frame: Frame): void {
  const { lines, plain } = channel;
  if (plain !== undefined) {
    frame.channelsPct[channel.at] =
      readSource(plain.source, stimulus, frame) * plain.weight + plain.offsetPct;
    return;
  }
  let value = 0;
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    if (line.when !== undefined && !line.when(stimulus, frame)) continue;
    let source = readSource(line.source, stimulus, frame);
    if (line.points !== undefined) source = curveAt(line.points, source);
    const term = source * line.weight + line.offsetPct;
    if (line.op === 'add') value += term;
    else if (line.op === 'multiply') value *= term / 100;
    else value = term;
  }
  frame.channelsPct[channel.at] = value;
}
