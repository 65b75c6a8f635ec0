import type { Line } from '../../setup';
import { addLine, type Draft } from './draft';
import { combinations } from './modes';

/** What lines that send a value for each position are called and meant for. */
interface Told {
  id: string;
  channel: number;
  purpose: NonNullable<Line['purpose']>;
  /** Of the one line that follows the control. */
  follows: string;
  /** Of the line of one position. */
  at: (words: string, position: number) => string;
}

/**
 * A value for each position of a control, of a slider for its two ends: one line that follows it where the values lie on a straight
 * line, else one for each position.
 * @param values in percent, from the low end of the control up
 */
export function byPosition(
  draft: Draft,
  control: string,
  values: readonly number[],
  { id, channel, purpose, follows, at }: Told,
): void {
  const line = { channel, purpose, effect: 'adds' } as const;
  const [low, high] = [values[0]!, values.at(-1)!];
  if (values.length < 3 || values[1] === (low + high) / 2) {
    addLine(draft, {
      ...line,
      id,
      label: follows.slice(0, 80),
      follows: { kind: 'control', id: control },
      sharePct: (high - low) / 2,
      shiftPct: (high + low) / 2,
    });
    return;
  }
  combinations(draft.setup, [control]).forEach(({ when, words }, i) =>
    addLine(draft, {
      ...line,
      id: `${id}-${i + 1}`,
      label: at(words, i).slice(0, 80),
      follows: { kind: 'fixed' },
      sharePct: values[i]!,
      when,
    }),
  );
}
