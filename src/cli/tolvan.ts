import { readFileSync } from 'node:fs';
import {
  ENTRY_STYLES,
  describeProblem,
  readSetup,
  type EntryStyle,
  type Problem,
  type Setup,
} from '../core/setup';
import { usualWishes, writeWishes } from '../core/plan';
import { sheetFor, sheetMarkdown } from '../core/sheets';
import { checkDirections } from './check';
import { combinationCsv, combinationTable } from './table';

const USAGE =
  'usage: tolvan validate FILE | check FILE | table FILE [--csv] | plan FILE | sheet FILE [--style ' +
  `${ENTRY_STYLES.join('|')}]`;

/** Prints one JSON document; the exit code says how it went: 0 well, 1 something to fix, 2 unusable. */
function print(value: unknown): void {
  process.stdout.write(JSON.stringify(value, null, 2) + '\n');
}

function unusable(problems: readonly Problem[]): never {
  process.stderr.write(describeProblem(problems[0]!) + '\n');
  process.exit(2);
}

function load(file: string): Setup {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    unusable([
      { path: '', reason: `cannot read ${file}: ${(error as NodeJS.ErrnoException).code}` },
    ]);
  }
  const result = readSetup(text);
  if (!result.ok) unusable(result.problems);
  return result.value;
}

const [command, file, ...flags] = process.argv.slice(2);

/** The value after --style; undefined for the transmitter's own. */
function styleAsked(): EntryStyle | undefined {
  const at = flags.indexOf('--style');
  if (at < 0) return undefined;
  const style = flags[at + 1] ?? '';
  const known = ENTRY_STYLES.find((s) => s === style);
  if (!known)
    unusable([{ path: '', reason: `--style must be one of: ${ENTRY_STYLES.join(', ')}` }]);
  return known;
}

if (file === undefined) unusable([{ path: '', reason: USAGE }]);
switch (command) {
  case 'validate': {
    const setup = load(file);
    print({ ok: true, name: setup.name, format: setup.format, version: setup.version });
    break;
  }
  case 'check': {
    const report = checkDirections(load(file));
    print(report);
    process.exit(report.ok ? 0 : 1);
    break;
  }
  case 'table': {
    const setup = load(file);
    if (flags.includes('--csv')) process.stdout.write(combinationCsv(setup));
    else print(combinationTable(setup));
    break;
  }
  case 'plan': {
    const setup = load(file);
    const written = writeWishes(setup, setup.intents.program ?? usualWishes(setup));
    if (!written.ok)
      unusable(
        written.reasons.map((reason, i) => ({
          path: written.paths[i] ?? '/intents/program',
          reason,
        })),
      );
    for (const note of written.notes) process.stderr.write(note + '\n');
    print(written.setup);
    break;
  }
  case 'sheet':
    process.stdout.write(sheetMarkdown(sheetFor(load(file), styleAsked())));
    break;
  default:
    unusable([{ path: '', reason: USAGE }]);
}
