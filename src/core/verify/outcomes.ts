import type { Line, Setup } from '../setup';
import { coneOf, Newest, partOfProgram } from './explore';
import type { Outcome } from './finding';
import type { Requirement } from './requirements';

const outcomes = new Newest<Outcome>(400);

const bodies = new WeakMap<Setup, string>();

/** Everything but the program and what no requirement reads: names, notes, dates of work done. */
function bodyOf(setup: Setup): string {
  const found = bodies.get(setup);
  if (found !== undefined) return found;
  const { airframe, installation, intents, unit, transmitter, program } = setup;
  const { measures, servos, surfaces, ...frame } = airframe;
  const {
    revisions: _,
    unitFirmware: __,
    unitHardware: ___,
    transmitterFirmware: ____,
    ...fitted
  } = installation;
  const body = JSON.stringify([
    frame,
    [measures.stance, measures.flyingPitchDeg],
    servos.map(({ secondsPer60Deg: _s, pulse: _p, ...servo }) => servo),
    surfaces.map(({ chordMm: _c, ...surface }) => surface),
    unit.traits,
    unit.settings,
    transmitter,
    fitted,
    intents.program,
    program.outputs,
    program.failsafe,
    program.callouts,
    // Call-outs read logic that no channel may read.
    program.callouts.length > 0 ? program.logic : [],
  ]);
  bodies.set(setup, body);
  return body;
}

/** Lines that say by their purpose what a requirement takes them for, wherever they stand. */
const MEANT = new Set<Line['purpose']>(['panic', 'launch', 'throttle-cut', 'mix']);

/** The part of a program some channels are made of, and lines meant for something, with their places. */
const partOf = (setup: Setup, channels: readonly number[]): string =>
  JSON.stringify([
    partOfProgram(setup, coneOf(setup, channels)),
    setup.program.lines.flatMap((l, i) => (MEANT.has(l.purpose) ? [[i, l]] : [])),
  ]);

/**
 * What looking came to the last time, if nothing that it looks at has changed since: an edit that
 * cannot reach a requirement's channels proves nothing of it again.
 */
export function outcomeOf(
  setup: Setup,
  { id, looksAt }: Pick<Requirement, 'id' | 'looksAt'>,
  limit: number | undefined,
  look: () => { outcome: Outcome; gaveUp: boolean },
): Outcome {
  const key = `${id} ${limit} ${bodyOf(setup)} ${partOf(setup, looksAt(setup))}`;
  const found = outcomes.get(key);
  if (found) return found;
  const { outcome, gaveUp } = look();
  if (!gaveUp) outcomes.put(key, outcome);
  return outcome;
}
