import { readFileSync } from 'node:fs';
import '../core/verify/prover';
import {
  ENTRY_STYLES,
  describeProblem,
  type EntryStyle,
  type Problem,
  type Setup,
} from '../core/setup';
import Papa from 'papaparse';
import { compare } from '../core/compare';
import { infer, type Reading } from '../core/infer';
import { readSetup, writeWishes } from '../core/plan';
import { sheetFor, sheetMarkdown } from '../core/sheets';
import { asked, eyesAsked } from './ask';
import { checkDirections } from './check';
import { moved, OBSERVER_NAMES } from './move';
import { combinationCsv, combinationTable } from './table';

const USAGE =
  'usage: tolvan validate FILE | check FILE | table FILE [--csv] | plan FILE | sheet FILE [--style ' +
  `${ENTRY_STYLES.join('|')}] | diff FILE OTHER | fmt FILE | infer FILE READINGS.csv | ` +
  `move FILE SCENARIO.json [--csv | --observe ${OBSERVER_NAMES.join('|')}] | ` +
  'ask FILE [--wrong SHARE] [--unsure SHARE] [--seed N]';

/** What a command says and how it went: 0 well, 1 something to fix, 2 unusable. */
export interface Outcome {
  status: 0 | 1 | 2;
  stdout: string;
  stderr: string;
}

/** The command cannot be done; the first problem is said in one line. */
class Unusable extends Error {
  constructor(problems: readonly Problem[]) {
    super(describeProblem(problems[0]!));
  }
}

const json = (value: unknown) => JSON.stringify(value, null, 2) + '\n';
const well = (stdout: string, notes: readonly string[] = []): Outcome => ({
  status: 0,
  stdout,
  stderr: notes.map((n) => `${n}\n`).join(''),
});

function textOf(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new Unusable([{ path: '', reason: `cannot read ${file}: ${code}` }]);
  }
}

/** Readings off a monitor, one a row; says which row and column is wrong. */
function loadReadings({ transmitter }: Setup, file: string): Reading[] {
  const { data, meta } = Papa.parse<Record<string, string>>(textOf(file), {
    header: true,
    skipEmptyLines: true,
  });
  const ids = new Set(transmitter.controls.map((c) => c.id));
  const columns = (meta.fields ?? []).map((name) => {
    const channel = Number(/^ch(\d+)$/.exec(name)?.[1] ?? NaN);
    if (!ids.has(name) && !(channel >= 1 && channel <= transmitter.channels))
      throw new Unusable([
        {
          path: '',
          reason: `column "${name}" is neither a control of the transmitter nor a channel`,
        },
      ]);
    return { name, channel };
  });
  return data.map((row, i): Reading => {
    const number = (name: string): number | undefined => {
      const text = (row[name] ?? '').trim();
      if (text === '') return undefined;
      const value = Number(text);
      if (!Number.isFinite(value) || Math.abs(value) > 200)
        throw new Unusable([
          { path: '', reason: `row ${i + 1}, column ${name}: "${text}" is not a percentage` },
        ]);
      return value;
    };
    const controls: Record<string, number> = {};
    const channels: (number | undefined)[] = [];
    for (const { name, channel } of columns) {
      const value = number(name);
      if (!Number.isNaN(channel)) channels[channel - 1] = value;
      else if (value !== undefined) controls[name] = value;
    }
    return { controls, channels: Array.from(channels) };
  });
}

function load(file: string): Setup {
  const text = textOf(file);
  const result = readSetup(text);
  if (!result.ok) throw new Unusable(result.problems);
  return result.value.setup;
}

/** The value after --style; undefined for the transmitter's own. */
function styleAsked(flags: readonly string[]): EntryStyle | undefined {
  const at = flags.indexOf('--style');
  if (at < 0) return undefined;
  const known = ENTRY_STYLES.find((s) => s === flags[at + 1]);
  if (!known)
    throw new Unusable([
      { path: '', reason: `--style must be one of: ${ENTRY_STYLES.join(', ')}` },
    ]);
  return known;
}

type Command = (setup: Setup, flags: readonly string[]) => Outcome;

/** Every command there is; each works on one Setup file. */
const COMMANDS: Record<string, Command> = {
  validate: ({ name, format, version }) => well(json({ ok: true, name, format, version })),
  check(setup) {
    const report = checkDirections(setup);
    return { ...well(json(report)), status: report.ok ? 0 : 1 };
  },
  table: (setup, flags) =>
    well(flags.includes('--csv') ? combinationCsv(setup) : json(combinationTable(setup))),
  plan(setup) {
    const written = writeWishes(setup, setup.intents.program);
    if (!written.ok)
      throw new Unusable(
        written.reasons.map((reason, i) => ({
          path: written.paths[i] ?? '/intents/program',
          reason,
        })),
      );
    return well(json(written.setup), written.notes);
  },
  /** What the second file has otherwise than the first, in words; 1 where anything. */
  diff(setup, [other]) {
    if (other === undefined) throw new Unusable([{ path: '', reason: USAGE }]);
    const found = compare(setup, load(other));
    return {
      ...well(found.map(({ what, words }) => `${what}: ${words}\n`).join('')),
      status: found.length > 0 ? 1 : 0,
    };
  },
  /**
   * The simplest lines that give what a monitor showed: a column for each control, by its id, and one for
   * each channel, ch1, ch2 …; an empty field rests, or was not read. 1 where readings
   * contradict, or leave a channel open.
   */
  infer(setup, [readings]) {
    if (readings === undefined) throw new Unusable([{ path: '', reason: USAGE }]);
    const found = infer(setup.transmitter, loadReadings(setup, readings));
    return { ...well(json(found)), status: found.ok ? 0 : 1 };
  },
  /** Flies a scenario: where it is, what moves and in which mode over time; 1 where it ends badly. */
  move(setup, [file, ...flags]) {
    if (file === undefined) throw new Unusable([{ path: '', reason: USAGE }]);
    const at = flags.indexOf('--observe');
    const made = moved(setup, textOf(file), {
      csv: flags.includes('--csv'),
      observe: at < 0 ? undefined : (flags[at + 1] ?? ''),
    });
    if (!made.ok) throw new Unusable(made.problems);
    return { ...well(made.text), status: made.well ? 0 : 1 };
  },
  /** Asks the unit as if nobody knew it, somebody looking who may be wrong or unsure; 1 where no possible unit fits. */
  ask(setup, flags) {
    const eyes = eyesAsked(flags);
    if ('reason' in eyes) throw new Unusable([eyes]);
    const made = asked(setup, eyes);
    if (!made.ok) throw new Unusable(made.problems);
    return { ...well(made.text), status: made.found ? 0 : 1 };
  },
  /** The same Setup, its fields in the order of the format: twice the same bytes. */
  fmt: (setup) => well(json(setup)),
  sheet: (setup, flags) => well(sheetMarkdown(sheetFor(setup, styleAsked(flags)))),
};

/** Does what the words ask. @param words command, file, flags */
export function run([command = '', file, ...flags]: readonly string[]): Outcome {
  try {
    const known = Object.hasOwn(COMMANDS, command) ? COMMANDS[command] : undefined;
    if (!known || file === undefined) throw new Unusable([{ path: '', reason: USAGE }]);
    return known(load(file), flags);
  } catch (error) {
    if (!(error instanceof Unusable)) throw error;
    return { status: 2, stdout: '', stderr: `${error.message}\n` };
  }
}
