'use client';

import { rounded, shownAs } from '@/core/measure';
import { useSystem } from './useSystem';

/** A measure with its unit, as this device shows it. */
export function Measured({
  value,
  unit,
  digits = 0,
}: {
  value: number;
  unit: 'mm' | 'm' | 'g' | 'm/s';
  /** Behind the point, in ours. */
  digits?: number;
}) {
  const [system] = useSystem();
  const shown = shownAs(unit, system);
  return shown
    ? `${rounded(value * shown.per, shown.digits)} ${shown.unit}`
    : `${value.toFixed(digits)} ${unit}`;
}
