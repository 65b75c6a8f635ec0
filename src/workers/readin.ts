import { asking, infer, type Asking, type Inferred, type Reading } from '../core/infer';
import type { Transmitter } from '../core/setup';

/** The next row, and what is found where there is none or enough was read. */
export interface ReadInState {
  asking: Asking;
  found: Inferred | undefined;
}

export function readIn(
  transmitter: Transmitter,
  readings: readonly Reading[],
  enough: boolean,
): ReadInState {
  const next = asking(transmitter, readings);
  return {
    asking: next,
    found:
      readings.length > 0 && (enough || next.rows.length === 0)
        ? infer(transmitter, readings)
        : undefined,
  };
}
