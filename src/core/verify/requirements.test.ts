import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { foundByHand } from '../../../tests/kit/by-hand';
import { cleanSetup } from '../../../tests/kit/clean';
import { editOf } from '../../../tests/kit/edits';
import { walkAnywhere } from '../../../tests/kit/hands';
import { MUTATIONS, type Mutation } from '../../../tests/kit/mutations';
import { randomOf, randomProgram } from '../../../tests/kit/random-program';
import { requirementsTable } from '../../../tests/kit/requirements-table';
import { FULL, SEED, share } from '../../../tests/kit/share';
import { applyPatch } from '../patch';
import { parseSetup, type Setup } from '../setup';
import { createBench, type Snapshot } from '../standin';
import { findingsOf, prove, REQUIREMENTS, verify, type Failure } from './index';

function spoilt({ start, spoil }: Mutation): Setup {
  const setup = structuredClone(start());
  spoil(setup);
  const read = parseSetup(setup);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

const failuresOf = (setup: Setup, requirement: string): readonly Failure[] =>
  prove(setup).results.find((r) => r.id === requirement)?.failures ?? [];

/** Does on the bench what a witness says. */
function replay(setup: Setup, { witness }: Failure, armFirst = true) {
  const bench = createBench(setup);
  if (armFirst) {
    // Looked at on an armed unit, flying.
    bench.setControl('stick-throttle', 100);
    bench.advance(0);
    bench.setControl('stick-throttle', -100);
  }
  const steps =
    witness!.steps ??
    Object.entries(witness!.controls).map(([control, value]) => ({ control, value }));
  return { bench, shown: bench.play(steps), steps };
}

const most = (s: Snapshot) => Math.max(0, ...s.motorPct);

/** What must be seen once a witness has been played, requirement by requirement. */
const SHOWS: Record<string, (setup: Setup, failure: Failure) => void> = {
  'motor-cut': (s, f) => expect(most(replay(s, f).shown)).toBeGreaterThan(1),
  'motor-low': (s, f) => expect(most(replay(s, f).shown)).toBeGreaterThan(5),
  'motor-rest': (s, f) => expect(most(replay(s, f, false).shown)).toBeGreaterThan(5),
  'motor-lost': (s, f) => {
    const { bench } = replay(s, f);
    bench.setLink(false);
    bench.advance(0.02);
    const shown = bench.advance(2);
    if (f.about.how === 'unit') expect(shown.unitDrives).toBe(true);
    else expect(most(shown)).toBeGreaterThan(5);
  },
  throttle: (s, f) => {
    const { bench, shown } = replay(s, f, false);
    if (f.about.how === 'weak') expect(most(shown)).toBeLessThan(50);
    if (f.about.how === 'behind') expect(most(shown)).toBeGreaterThan(5);
    if (f.about.how !== 'falls') return;
    const gives = Array.from({ length: 201 }, (_, i) => {
      bench.setControl(f.about.control!, i - 100);
      return most(bench.advance(0));
    });
    expect(gives.some((g, i) => i > 0 && g < Math.max(...gives.slice(0, i)) - 1)).toBe(true);
  },
  level: (s, f) => expect(replay(s, f).shown.mode).toBe(f.about.mode),
  sticks: (s, f) => {
    const { bench, shown } = replay(s, f);
    const at = s.airframe.surfaces.findIndex((x) => x.id === f.about.surface);
    if (f.about.how === 'turns-back') return;
    bench.setControl(f.about.control!, 0);
    const middle = bench.advance(0).surfaceDeg[at]!;
    const other = bench.play([
      {
        control: f.about.control!,
        value: -shown.controls[s.transmitter.controls.findIndex((c) => c.id === f.about.control)]!,
      },
    ]);
    // One end or the other does not do what it should; still means neither goes far.
    if (f.about.how === 'still') expect(Math.abs(shown.surfaceDeg[at]! - middle)).toBeLessThan(2);
    else
      expect(
        [shown.surfaceDeg[at]! - middle, other.surfaceDeg[at]! - middle].some(
          (d) => Number.isNaN(d) || Math.abs(d) >= 2,
        ),
      ).toBe(true);
  },
  'sticks-alone': (s, f) => {
    const { bench, shown } = replay(s, f);
    const at = s.airframe.surfaces.findIndex((x) => x.id === f.about.surface);
    bench.setControl(f.about.control!, 0);
    expect(Math.abs(shown.surfaceDeg[at]! - bench.advance(0).surfaceDeg[at]!)).toBeGreaterThan(1);
  },
  corrections: (s, f) => expect(replay(s, f).shown.mode).toBe(f.about.mode),
  modes: (s, f) => expect(replay(s, f).shown.mode).toBe(f.about.mode),
  'mode-margins': (s, f) => expect(replay(s, f).shown.mode).toBe(f.about.mode),
  rest: (s, f) => {
    const { shown } = replay(s, f, false);
    expect(shown.mode === f.about.mode || f.about.how === 'panic').toBe(true);
  },
  panic: (s, f) => {
    const { shown } = replay(s, f);
    if (f.about.how === 'hole') expect(shown.mode).toBe(f.about.mode);
    if (f.about.how === 'no-gain') expect(shown.gainPct[0]!).toBeLessThan(5);
  },
  'link-lost': (s, f) => {
    const { bench } = replay(s, f);
    bench.setLink(false);
    bench.advance(0.02);
    const { mode } = bench.advance(2);
    if (f.about.how !== 'as-it-stood') return expect(mode).toBe(f.about.mode);
    // Another place of the switches, another mode with the signal lost.
    const elsewhere = [-100, 0, 100].map((sa) => {
      const other = createBench(s);
      other.play([{ control: 'sa', value: sa }]);
      other.setLink(false);
      other.advance(0.02);
      return other.advance(2).mode;
    });
    expect(elsewhere.some((m) => m !== mode)).toBe(true);
  },
  launch: (s, f) => {
    const { shown } = replay(s, f);
    const at = s.airframe.surfaces.findIndex((x) => x.id === f.about.surface);
    if (f.about.how === 'down') expect(shown.surfaceDeg[at]!).toBeGreaterThan(0);
    if (f.about.how === 'still') expect(Math.abs(shown.surfaceDeg[at]!)).toBeLessThan(1);
    const elevator = s.airframe.surfaces.findIndex((x) => x.role === 'elevator');
    if (f.about.how === 'stays')
      expect(shown.mode === 'level' || shown.surfaceDeg[elevator]! < -1).toBe(true);
  },
  voice: (s, f) => expect(replay(s, f).shown.mode).toBe(f.about.mode),
  'master-off': (s, f) => expect(replay(s, f).shown.mode).not.toBe('off'),
};

it('the table of the architecture page says what requirements claim, and what they leave out', () => {
  const page = readFileSync('docs/architecture.md', 'utf8').replace(/ +/g, ' ');
  for (const row of requirementsTable()) expect(page).toContain(row.replace(/ +/g, ' '));
});

describe('seeded faults of many kinds', () => {
  it('are eight or more for every requirement', () => {
    for (const { id } of REQUIREMENTS)
      expect(MUTATIONS.filter((m) => m.requirement === id).length, id).toBeGreaterThanOrEqual(8);
  });
  it.each(share(MUTATIONS, 20).map((m) => [m.requirement, m.words, m] as const))(
    '%s fails: %s',
    (requirement, _, mutation) => {
      // What fails must come from the fault, not have failed before.
      const counts = (f: Failure) => mutation.severity === 'caution' || f.severity === 'stop';
      expect(failuresOf(mutation.start(), requirement).filter(counts)).toEqual([]);
      const setup = spoilt(mutation);
      const [failure] = failuresOf(setup, requirement).filter(counts);
      expect(failure).toBeDefined();
      if (failure!.witness) SHOWS[requirement]?.(setup, failure!);
      const findings = findingsOf(setup).filter((f) =>
        f.requirements.some((r) => r === requirement),
      );
      expect(findings.some((f) => mutation.severity === 'caution' || f.severity === 'stop')).toBe(
        true,
      );
    },
  );
  it.each(share(MUTATIONS, 80).map((m) => [m.requirement, m.words, m] as const))(
    'repairs offered for it heal: %s, %s',
    (_, __, mutation) => {
      const setup = spoilt(mutation);
      const before = findingsOf(setup).filter((f) => f.severity === 'stop').length;
      for (const finding of verify(setup).slice(0, 3))
        for (const remedy of finding.remedies.slice(0, 1)) {
          const mended = parseSetup(applyPatch(setup, remedy.patch));
          expect(mended.ok).toBe(true);
          if (!mended.ok) continue;
          const after = findingsOf(mended.value).filter((f) => f.severity === 'stop').length;
          expect(after).toBeLessThanOrEqual(before);
          // A repair may put the modes in another order; it takes none away.
          const modesOf = ({ intents }: Setup) => intents.program.modes?.table.toSorted();
          expect(modesOf(mended.value)).toEqual(modesOf(setup));
        }
    },
  );
});

it('a row of the proof says what panic does from there, not from a state that only begins alike', () => {
  const mutation = MUTATIONS.find((m) => m.words === 'let go by another switch')!;
  const setup = spoilt(mutation);
  const proof = prove(setup);
  const at = proof.controls.indexOf('sd');
  const righted = (near: boolean) =>
    proof.rows
      .filter((r) => r.panic && (r.values[at] === 100) === near && r.mode !== 'level')
      .map((r) => r.panic!.righted);
  expect(righted(true).length).toBeGreaterThan(0);
  expect(new Set(righted(true))).toEqual(new Set([false]));
  expect(new Set(righted(false))).toEqual(new Set([true]));
});

describe('clean Setups from the planner, parts and wishes by dice', () => {
  const COUNT = FULL ? 1500 : 90;
  const made = Array.from({ length: COUNT }, (_, i) =>
    cleanSetup(i + 1 + (FULL ? 0 : SEED * 10_000)),
  ).flatMap((c) => (c ? [c] : []));
  it('come out as often as not', () => expect(made.length).toBeGreaterThan(COUNT / 3));
  it('raise no stop, and no more than one caution each on the whole', () => {
    let cautions = 0;
    for (const { name, setup } of made) {
      const findings = findingsOf(setup);
      expect(
        findings.filter((f) => f.severity === 'stop').map((f) => `${name}: ${f.rule} ${f.says}`),
      ).toEqual([]);
      cautions += findings.filter((f) => f.severity === 'caution').length;
    }
    expect(cautions / made.length).toBeLessThanOrEqual(1);
  });
});

describe('one thing changed by dice', () => {
  const edits = Array.from({ length: FULL ? 6000 : 80 }, (_, i) => {
    const seed = i + (FULL ? 0 : SEED * 20_000);
    const clean = cleanSetup((seed % 900) + 1);
    const random = randomOf(seed * 31 + 5);
    return { clean, random, edit: clean && editOf(clean.setup, random) };
  }).flatMap(({ clean, random, edit }) => (clean && edit ? [{ clean, random, edit }] : []));
  it('whatever hands find wrong is a stop', () => {
    let found = 0;
    for (const { clean, random, edit } of edits) {
      const wrong = foundByHand(edit.setup, random);
      if (wrong === undefined) continue;
      found += 1;
      const stops = findingsOf(edit.setup).filter((f) => f.severity === 'stop');
      expect(stops.length, `${clean.name}: ${edit.words}: ${wrong}`).toBeGreaterThan(0);
    }
    expect(found).toBeGreaterThan(edits.length / 10);
  });
  it('what is kept from one edit to the next is what a fresh look says', () => {
    for (const [i, { edit }] of share(edits, 12).entries())
      // Another limit is another question: nothing that is kept answers it.
      expect(prove(edit.setup).results).toEqual(prove(edit.setup, { limit: 250_001 + i }).results);
  });
  it('repairs break nothing that hands can find', () => {
    for (const { clean, edit } of share(edits, 16))
      for (const finding of verify(edit.setup).slice(0, 3))
        for (const { label, patch } of finding.remedies) {
          const before = foundByHand(edit.setup, randomOf(1));
          const mended = parseSetup(applyPatch(edit.setup, patch));
          expect(mended.ok, label).toBe(true);
          if (!mended.ok || before !== undefined) continue;
          expect(
            foundByHand(mended.value, randomOf(1)),
            `${clean.name}: ${edit.words}: ${label}`,
          ).toBeUndefined();
        }
  });
});

describe('hands that move anywhere', () => {
  const programs = FULL ? 2000 : 24;
  const moves = FULL ? 10_000 : 400;
  it.each([false, true])('find no moment the table does not hold (rich: %s)', (rich) => {
    let moments = 0;
    for (let i = 0; i < programs / 2; i++) {
      const seed = (FULL ? 0 : SEED * 1_000) + i + (rich ? 500_000 : 0);
      const setup = randomProgram(seed, { logic: 4, lines: 8, rich });
      const walked = walkAnywhere(setup, seed + 7, moves, 40_000);
      expect(walked.refuted, `program ${seed}`).toBeUndefined();
      moments += walked.moments;
    }
    expect(moments).toBeGreaterThan((programs * moves) / 4);
  });
});
