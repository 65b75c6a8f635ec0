import type { Frame } from './frame';

/** Between what values something may be, and who decides it: the sticks, or the unit by itself. */
export interface OwnedRange {
  by: 'sticks' | 'unit';
  lo: number;
  hi: number;
}

/** What a motor may give, percent. Where the unit has it, anything. */
export function motorRange(frame: Frame, motor: number): OwnedRange {
  if (frame.unitDrives) return { by: 'unit', lo: 0, hi: frame.throttleRefused ? 0 : 100 };
  const pct = frame.motorPct[motor]!;
  return { by: 'sticks', lo: pct, hi: pct };
}

/** Where a surface may stand, degrees. @param throwDeg as far as it goes either way */
export function surfaceRange(frame: Frame, surface: number, throwDeg: number): OwnedRange {
  if (frame.unitSteers) return { by: 'unit', lo: -throwDeg, hi: throwDeg };
  const deg = frame.surfaceDeg[surface]!;
  return { by: 'sticks', lo: deg, hi: deg };
}

/** What is said of a motor and of surfaces that the unit controls by itself. */
export const UNIT_DRIVES = 'the unit controls the motor: it may run at any moment, so stay clear';
export const UNIT_STEERS = 'the unit steers by itself: the surfaces do not follow the sticks';
