import type { Line, Setup } from '../setup';
import type { Claim, Facts, Verdict } from './engine';
import { coneOf, Newest, partOfProgram, type Cone } from './explore';
import type { Outcome } from './finding';
import type { Requirement } from './requirements';

const outcomes = new Newest<Looked>(400);

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

const parts = new WeakMap<Cone, string>();

/** The part of a program some channels are made of, and lines meant for something, with their places. */
function partOf(setup: Setup, channels: readonly number[]): string {
  const cone = coneOf(setup, channels);
  const found =
    parts.get(cone) ??
    JSON.stringify([
      partOfProgram(setup, cone),
      setup.program.lines.flatMap((l, i) => (MEANT.has(l.purpose) ? [[i, l]] : [])),
    ]);
  // A cone belongs to one program.
  parts.set(cone, found);
  return found;
}

/** By what an outcome is known: the requirement, and all that it looks at. */
const keyOf = (facts: Facts, requirement: Requirement, limit: number | undefined): string =>
  `${requirement.id} ${limit} ${bodyOf(facts.setup)} ${partOf(facts.setup, requirement.looksAt(facts))}`;

/** What looking came to: of the requirement, and of each of its claims. */
export interface Looked extends Outcome {
  /** Claims of a list, by key, with what of the list holds in every state. */
  holds: Readonly<Record<string, readonly string[]>>;
  /** What its claims rest on, as bits of `RESTS_ON`. */
  restsOn: number;
}

/**
 * What each requirement comes to. Those of which nothing that they look at has changed since the last
 * time are not proved again; claims of the others are decided together.
 * @returns undefined for a requirement that claims nothing of this Setup
 */
export function outcomesOf(
  facts: Facts,
  requirements: readonly Requirement[],
  limit: number | undefined,
  look: (claims: readonly Claim[]) => { verdicts: readonly Verdict[]; gaveUp: boolean },
): (Looked | undefined)[] {
  const keys = requirements.map((r) => keyOf(facts, r, limit));
  // Taken once: what is put meanwhile may push out what was there.
  const found = keys.map((key) => outcomes.get(key));
  const open = requirements.flatMap((requirement, i) =>
    found[i] ? [] : [{ requirement, i, claims: requirement.claims(facts) }],
  );
  const { verdicts, gaveUp } = look(open.flatMap((o) => o.claims));
  let at = 0;
  for (const { requirement, i, claims } of open) {
    const own = verdicts.slice(at, at + claims.length);
    at += claims.length;
    const failures = own.flatMap((v) => v.failures.map((f) => ({ ...f, claim: v.claim.key })));
    const looked: Looked = {
      failures: requirement.told?.(failures) ?? failures,
      states: Math.max(0, ...own.map((v) => v.states)),
      leftOut: [...new Set(own.flatMap((v) => v.leftOut))],
      claims: claims.length,
      holds: Object.fromEntries(own.map((v) => [v.claim.key, v.states > 0 ? v.holds : []])),
      restsOn: own.reduce((bits, v) => bits | v.restsOn, 0),
    };
    found[i] = looked;
    if (!gaveUp) outcomes.put(keys[i]!, looked);
  }
  return found.map((f) => (f && f.claims > 0 ? f : undefined));
}
