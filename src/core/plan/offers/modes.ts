import type { Mode, ProgramWishes, Setup } from '../../setup';
import { positionsOfSwitches } from '../wishes/modes';

/** The mode table for other switches: existing modes first, the last one repeated. */
export function modesOn(
  setup: Setup,
  table: readonly Mode[],
  switches: string[],
): NonNullable<ProgramWishes['modes']> {
  const first = setup.unit.traits.modes[0]!;
  return {
    switches,
    table: Array.from(
      { length: positionsOfSwitches(setup, switches) },
      (_, i): Mode => table[i] ?? table.at(-1) ?? first,
    ),
  };
}
