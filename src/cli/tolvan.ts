import { readFileSync } from 'node:fs';
import { describeProblem, readSetup, type Problem, type Setup } from '../core/setup';
import { checkDirections } from './check';

const USAGE = 'usage: tolvan validate FILE | tolvan check FILE';

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

const [command, file] = process.argv.slice(2);
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
  default:
    unusable([{ path: '', reason: USAGE }]);
}
