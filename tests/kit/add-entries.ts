import type { ChannelFunction, Condition, Line, Logic, Setup } from '@/core/setup';

export const outputOf = (setup: Setup, carries: ChannelFunction) =>
  setup.program.outputs.find((o) => o.carries === carries)!;
export const channelOf = (setup: Setup, carries: ChannelFunction): number =>
  outputOf(setup, carries).channel;

/** A switch in one of its positions. */
export const at = (control: string, position: number): Condition => ({
  kind: 'switch',
  control,
  position,
});

/** Adds a line to a channel, fixed at 100 % unless said otherwise. */
export function addLine(setup: Setup, carries: ChannelFunction, more: Partial<Line>): void {
  const { lines } = setup.program;
  lines.push({
    id: `added-line-${lines.length}`,
    channel: channelOf(setup, carries),
    follows: { kind: 'fixed' },
    sharePct: 100,
    shiftPct: 0,
    effect: 'adds',
    ...more,
  });
}

/** Adds a logic entry. @returns the condition that it is true */
export function addLogic(setup: Setup, entry: Partial<Logic> & Pick<Logic, 'op'>): Condition {
  const { logic } = setup.program;
  const id = `added-logic-${logic.length}`;
  logic.push({ id, label: id, ...entry } as Logic);
  return { kind: 'logic', id };
}
