import type { Line } from '../setup';

/**
 * How deep each line of a channel is nested: a line stands inside every later one that takes over from it,
 * so the outermost has the last word.
 * @param lines of one channel, in their order
 */
export function nestingOf(lines: readonly Pick<Line, 'effect'>[]): number[] {
  let outer = 0;
  return lines
    .toReversed()
    .map(({ effect }) => (effect === 'takes-over' ? outer++ : outer))
    .toReversed();
}
