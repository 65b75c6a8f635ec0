// Writes the table of requirements into the architecture page; a test keeps the two equal.
import { readFileSync, writeFileSync } from 'node:fs';
import { requirementsTable } from '../tests/kit/requirements-table';

const PAGE = 'docs/architecture.md';
const lines = readFileSync(PAGE, 'utf8').split('\n');
const first = lines.findIndex((l) => l.startsWith('| `motor-cut`'));
const last = lines.findIndex((l, i) => i > first && !l.startsWith('|'));
lines.splice(first, last - first, ...requirementsTable());
writeFileSync(PAGE, lines.join('\n'));
