import type { Control, Setup } from '../setup';

/** A knob or slider that sets the gain in flight, and the line that lets it. */
export function gainKnobOf({
  program,
  transmitter,
}: Setup): { control: Control; line: number } | undefined {
  const turnable = transmitter.controls.filter((c) => c.kind === 'knob' || c.kind === 'slider');
  for (const [line, { purpose, follows }] of program.lines.entries()) {
    if (purpose !== 'gain' || follows.kind !== 'control') continue;
    const control = turnable.find((c) => c.id === follows.id);
    if (control) return { control, line };
  }
  return undefined;
}
