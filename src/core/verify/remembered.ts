import { allReads, nameOfWorked, type Read, type Setup } from '../setup';
import type { Outcome } from './finding';
import type { Requirement } from './requirements';

/** Outcomes kept, oldest first out. */
const MOST_KEPT = 400;
const kept = new Map<string, Outcome>();

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

/** The part of a program that some channels are made of, with its places, and lines meant for orders. */
function partOf(setup: Setup, channels: readonly number[]): string {
  const { program } = setup;
  const reads = allReads(
    program,
    channels.map((channel): Read => ({ kind: 'channel', channel, path: [] })),
  );
  const names = new Set(
    reads.flatMap((r) => (r.kind === 'control' || r.kind === 'curve' ? [] : [nameOfWorked(r)])),
  );
  const curves = new Set(reads.flatMap((r) => (r.kind === 'curve' ? [r.id] : [])));
  const own = <T extends { id: string }>(kind: string, list: readonly T[]) =>
    list.map((entry, i) => (names.has(`${kind} ${entry.id}`) ? [i, entry] : 0)).filter(Boolean);
  return JSON.stringify([
    program.lines
      .map((l, i) =>
        names.has(`channel ${l.channel}`) ||
        l.purpose === 'panic' ||
        l.purpose === 'launch' ||
        l.purpose === 'throttle-cut'
          ? [i, l]
          : 0,
      )
      .filter(Boolean),
    own('logic', program.logic),
    own('input', program.inputs),
    own('variable', program.variables),
    program.curves.filter((c) => curves.has(c.id)),
    program.logic.length,
  ]);
}

/**
 * What looking came to the last time, if nothing that it looks at has changed since: an edit that
 * cannot reach a requirement's channels proves nothing of it again.
 */
export function outcomeOf(
  setup: Setup,
  { id, looksAt }: Pick<Requirement, 'id' | 'looksAt'>,
  limit: number | undefined,
  look: () => { outcome: Outcome; ended: boolean },
): Outcome {
  const key = `${id} ${limit} ${bodyOf(setup)} ${partOf(setup, looksAt(setup))}`;
  const found = kept.get(key);
  if (found) {
    kept.delete(key);
    kept.set(key, found);
    return found;
  }
  const { outcome, ended } = look();
  // What was ended before its time says nothing.
  if (!ended) kept.set(key, outcome);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return outcome;
}
