import type { PanicWay, ProgramWishes, Setup } from '../../setup';
import { PANIC_GAIN_PCT } from '../figures';

/** Hold time that ignores an accidental touch. Common practice, no source. */
const BRUSH_S = 0.3;

const acts = (way: PanicWay) => way !== 'none' && way !== 'mode-position';

/** Panic by another way, with what it needs: the control and figures there are, or the usual ones. */
export function panicBy(
  { transmitter }: Setup,
  { panic }: ProgramWishes,
  way: PanicWay,
  control = panic?.control ??
    (
      transmitter.controls.find((c) => c.kind === 'momentary') ??
      transmitter.controls.find((c) => c.kind === 'switch-2')
    )?.id,
): NonNullable<ProgramWishes['panic']> {
  if (!acts(way)) return { way, holdS: 0 };
  return {
    way,
    // None is a choice where panic acts already; where it did not, a brush must do nothing.
    holdS: panic && acts(panic.way) ? panic.holdS : BRUSH_S,
    ...(control ? { control } : {}),
    gainPct: panic?.gainPct ?? PANIC_GAIN_PCT,
  };
}

/** How panic works now; by default it takes over the mode channel. */
export const panicWayNow = ({ panic }: ProgramWishes): PanicWay =>
  panic && acts(panic.way) ? panic.way : 'replace';
