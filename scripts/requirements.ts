// Writes the tables of requirements and of their claims; tests keep pages and code equal.
import { readFileSync, writeFileSync } from 'node:fs';
import { requirementsTable } from '../tests/kit/requirements-table';
import { claimRows, weakenedClaims } from '../tests/kit/weakened';

function write(page: string, rows: readonly string[]): void {
  const lines = readFileSync(page, 'utf8').split('\n');
  const first = lines.findIndex((l) => l.startsWith('| `motor-cut`'));
  const last = lines.findIndex((l, i) => i > first && !l.startsWith('|'));
  lines.splice(first, last - first, ...rows);
  writeFileSync(page, lines.join('\n'));
}

write('docs/architecture.md', requirementsTable());
write('docs/claims.md', claimRows(weakenedClaims()));
