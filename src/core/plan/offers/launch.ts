import type { ProgramWishes, Setup } from '../../setup';

/** A second in the hand, a quarter of up elevator, and a tenth of stick to end it. Common practice, no source. */
const USUAL = { holdS: 1, elevatorPct: 25, releasePct: 10 };

/** Launch help on a control, with the usual figures where there are none. */
export const launchOn = (
  { launch }: ProgramWishes,
  control: string,
): NonNullable<ProgramWishes['launch']> => ({ ...USUAL, ...launch, control });

/** A free momentary or switch for launch help. */
export function launchControl(
  { transmitter }: Setup,
  { panic, cut }: ProgramWishes,
): string | undefined {
  const free = transmitter.controls.filter((c) => c.id !== panic?.control);
  return (
    free.find((c) => c.kind === 'momentary') ??
    free.find((c) => c.kind === 'switch-2' && c.id !== cut?.control)
  )?.id;
}
