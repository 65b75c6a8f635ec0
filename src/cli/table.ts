import Papa from 'papaparse';
import type { Setup } from '../core/setup';
import { proofOf } from '../core/verify';

/** Every combination that reaches the unit's orders, one object a row, names as in the Setup. */
export function combinationTable(setup: Setup) {
  const proof = proofOf(setup);
  return {
    name: setup.name,
    complete: proof.complete,
    visited: proof.visited,
    unreduced: proof.unreduced,
    requirements: proof.results.map(({ id, must, states, failures, leftOut }) => ({
      id,
      must,
      states,
      failures: failures.map((f) => f.says),
      leftOut,
    })),
    masterOff: proof.masterOff,
    rows: proof.rows.map((row) => ({
      ...Object.fromEntries(
        proof.controls.map((id, i) => [
          id,
          row.hi[i]! > row.lo[i]! ? `${round(row.lo[i]!)} to ${round(row.hi[i]!)}` : row.values[i]!,
        ]),
      ),
      remembered: row.remembered.join('; '),
      mode: row.mode,
      gainRollPct: round(row.gainPct[0]),
      gainPitchPct: round(row.gainPct[1]),
      gainYawPct: round(row.gainPct[2]),
      panicRighted: row.panic ? row.panic.righted : null,
      panicMode: row.panic ? row.panic.mode : null,
      panicAfterMs: row.panic ? row.panic.afterMs : null,
      lostMode: row.lost.mode,
    })),
  };
}

const round = (n: number) => Math.round(n * 10) / 10;

/** The rows as CSV (RFC 4180: comma, double quotes, CRLF), with a header line. */
export function combinationCsv(setup: Setup): string {
  return Papa.unparse(combinationTable(setup).rows, { newline: '\r\n' }) + '\r\n';
}
