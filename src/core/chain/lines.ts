import type { Line, Setup, Shape } from '../setup';
import {
  compileCondition,
  compileSource,
  readSource,
  type CompiledSource,
  type Test,
} from './conditions';
import type { Frame, Layout, Stimulus } from './frame';

/**
 * Straight lines between the points of a shape; level beyond its ends.
 * @param points rising in `inPct`, at least two
 */
export function shapeAt(points: Shape['points'], inPct: number): number {
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
  follows: CompiledSource;
  share: number;
  shiftPct: number;
  points: Shape['points'] | undefined;
  when: Test | undefined;
  effect: Line['effect'];
}

export interface CompiledChannel {
  at: number;
  lines: readonly CompiledLine[];
  /** The only line, when it does nothing but take a share of what it follows: most channels are like that. */
  plain: CompiledLine | undefined;
}

/** Second link: the lines of one channel, in order. */
export function compileChannel(setup: Setup, layout: Layout, channel: number): CompiledChannel {
  const lines = setup.program.lines
    .filter((line) => line.channel === channel)
    .map((line) => ({
      follows: compileSource(line.follows, layout),
      share: line.sharePct / 100,
      shiftPct: line.shiftPct,
      points: setup.program.shapes.find((s) => s.id === line.shape)?.points,
      when: line.when && compileCondition(line.when, layout, setup),
      effect: line.effect,
    }));
  const [first] = lines;
  const plain =
    lines.length === 1 && first && !first.when && !first.points && first.effect !== 'scales';
  return { at: channel - 1, lines, plain: plain ? first : undefined };
}

/** Each line adds to, scales or takes over from what stands so far. */
export function runChannel(channel: CompiledChannel, stimulus: Stimulus, frame: Frame): void {
  const { lines, plain } = channel;
  if (plain !== undefined) {
    frame.channelsPct[channel.at] =
      readSource(plain.follows, stimulus, frame) * plain.share + plain.shiftPct;
    return;
  }
  let value = 0;
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    if (line.when !== undefined && !line.when(stimulus, frame)) continue;
    let source = readSource(line.follows, stimulus, frame);
    if (line.points !== undefined) source = shapeAt(line.points, source);
    const term = source * line.share + line.shiftPct;
    if (line.effect === 'adds') value += term;
    else if (line.effect === 'scales') value *= term / 100;
    else value = term;
  }
  frame.channelsPct[channel.at] = value;
}
