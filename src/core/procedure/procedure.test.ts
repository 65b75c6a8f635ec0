import { describe, expect, it } from 'vitest';
import { share } from '../../../tests/kit/share';
import { makeSetup, watchAs } from '../../../tests/kit/setups';
import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { TESTS, stamp, testSubject, type Evidence } from '../logbook';
import { applyPatch } from '../patch';
import { composeSetup, learnTravel, unsuited } from '../plan';
import { isThrow } from '../preparation';
import { AIRFRAME_KINDS, measured, type Setup } from '../setup';
import { readBacksOf } from '../sheets';
import { findingsOf, type Finding } from '../verify';
import { sticksFirst } from './sticks-first';
import { isReady, jobOf, killedBy, nextStep, shortestWay, stoppedAt, STEPS } from './index';

/** What a person may get wrong, or find wrong, on the way. */
interface Fault {
  /** The model as it really is, where it differs from what is written. */
  real?: (written: Setup) => Setup;
  /** A test that shows something else than it must. */
  fails?: { test: string; item?: string };
  /** A value entered otherwise than on the sheet. */
  entered?: boolean;
}

/** How the simulated person ended: at which step, and whether the model had been called ready. */
interface End {
  at: string;
  ready: boolean;
}

/** Does the steps as they come, answering from the chain, until all is done or one stops them. */
function work(written: Setup, findings: readonly Finding[], fault: Fault = {}): End {
  const real = fault.real?.(written) ?? written;
  const movements = new Map(
    watchAs(written, real, true).map((o) => [`${o.check} ${o.surface}`, o.seen] as const),
  );
  const evidence: Evidence[] = [];
  const see = (check: string, surface: string, seen: Evidence['seen']) =>
    evidence.push({
      check,
      surface,
      seen,
      parts: stamp(written, { check, surface }),
      version: 1,
      at: '2026-01-01T00:00:00.000Z',
    });
  let ready = false;
  for (let turns = 0; turns < 40; turns++) {
    const job = jobOf({ setup: written, evidence, findings });
    ready ||= isReady(job);
    const stopped = stoppedAt(job);
    if (stopped) return { at: stopped.step.id, ready };
    const step = nextStep(job)?.step;
    if (!step) return { at: 'the end', ready };
    const test = (name: keyof typeof TESTS) => {
      for (const s of TESTS[name].script(written)) {
        const bad =
          s.faults.length > 0 ||
          (fault.fails?.test === s.test && (fault.fails.item ?? s.item) === s.item);
        see(testSubject(s).check, s.item, bad ? 'fail' : 'pass');
      }
    };
    if (step.id === 'entry') {
      test('entry');
      readBacksOf(written).forEach((r, i) =>
        see(
          `read:${r.id}`,
          `ch${r.channel}`,
          `${Math.round(r.predictedPct) + (fault.entered && i === 0 ? 30 : 0)}%`,
        ),
      );
    } else if (step.id === 'sticks' || step.id === 'corrections') {
      const kind = step.id === 'sticks' ? 'stick' : 'correction';
      for (const [key, seen] of movements) {
        const [check, surface] = key.split(' ') as [string, string];
        if (check.startsWith(kind)) see(check, surface, seen);
      }
    } else test(step.id as keyof typeof TESTS);
  }
  return { at: 'lost', ready };
}

const PAIRS = Object.keys(UNITS).flatMap((unit) =>
  AIRFRAME_KINDS.filter(
    (kind) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).map((kind) => ({ unit, kind })),
);

/** A unit in the first airframe it suits: there every item of a test is tried, elsewhere one of each. */
const firstOf = (pair: (typeof PAIRS)[number]) => PAIRS.find((p) => p.unit === pair.unit) === pair;

function make({ unit, kind }: (typeof PAIRS)[number]): Setup {
  const ground = kind === 'car' || kind === 'boat';
  const setup = composeSetup(
    'Simulated',
    measured(buildAirframe(usualAnswers(kind))),
    UNITS[unit]!,
    TRANSMITTERS[ground ? 'surface-four' : 'line-sixteen']!,
  );
  // Nothing is written on it: that was checked.
  return {
    ...setup,
    installation: {
      ...setup.installation,
      unitHardware: 'cannot be read',
      unitFirmware: '1',
      transmitterFirmware: '1',
    },
  };
}

/** Steps done out there, with a model that is ready. */
const OUT = new Set<string>(STEPS.filter((s) => s.afterReady).map((s) => s.id));

const otherRod = (setup: Setup): Setup =>
  applyPatch(setup, [
    {
      op: 'replace',
      path: '/airframe/surfaces/0/linkage/sense',
      value: setup.airframe.surfaces[0]!.linkage.sense === 'same' ? 'opposite' : 'same',
    },
  ]);
const turnedUnit = (setup: Setup): Setup => ({
  ...setup,
  installation: {
    ...setup.installation,
    mounting: setup.unit.traits.axes.length === 1 ? 'nose-down' : 'tail-up',
  },
});

describe('a person who follows the steps, for every unit and airframe', () => {
  it.each(share(PAIRS, 60))(
    '$unit in a $kind: ready; and stopped at the right step by any one fault',
    (pair) => {
      const setup = make(pair);
      const findings = findingsOf(setup);
      expect(findings.filter((f) => f.severity === 'stop')).toEqual([]);
      expect(work(setup, findings)).toEqual({ at: 'the end', ready: true });
      const stops = (at: string) => ({ at, ready: false });
      // Whichever is checked first by the school shows it.
      expect(work(setup, findings, { real: otherRod })).toEqual(
        stops(sticksFirst(setup) ? 'sticks' : 'corrections'),
      );
      expect(work(setup, findings, { real: turnedUnit })).toEqual(stops('corrections'));
      if (readBacksOf(setup).length > 0)
        expect(work(setup, findings, { entered: true })).toEqual(stops('entry'));
      for (const [name, { script }] of Object.entries(TESTS))
        for (const { test, item } of script(setup).slice(0, firstOf(pair) ? 9 : 1))
          expect(work(setup, findings, { fails: { test, item } }), `${name} ${item}`).toEqual({
            at: name === 'plain-model' && isThrow({ item }) ? 'throws' : name,
            ready: OUT.has(name),
          });
      // A fault of the program stops before anything is entered.
      const spoiled = structuredClone(setup);
      const rear = spoiled.program.outputs.find((o) =>
        /^(elevator|elevon|vtail|steering)/.test(o.carries),
      )!;
      rear.reversed = !rear.reversed;
      expect(work(spoiled, findingsOf(spoiled))).toEqual(stops('program'));
    },
  );
});

describe('a fault of the Setup stops the step it belongs to', () => {
  it.each<[string, string, (s: Setup) => void]>([
    ['a second-hand unit not reset', 'identify', (s) => (s.installation.secondHand = true)],
    ['a unit told otherwise', 'mounting', (s) => (s.installation.mounting = 'tail-up')],
    ['a reversed correction', 'program', (s) => (s.unit.settings.axes.roll.reversed = true)],
    [
      'a channel reversed after the capture',
      'capture',
      (s) => {
        s.installation.travelCapture = learnTravel(s);
        s.program.outputs.find((o) => o.carries === 'rudder')!.reversed = true;
        s.unit.settings.axes.yaw.reversed = false;
      },
    ],
    [
      'level captured standing on the tail',
      'level',
      (s) => (s.installation.levelCapture = { pitchDeg: 12 }),
    ],
  ])('%s: %s', (_, step, spoil) => {
    const setup = makeSetup();
    spoil(setup);
    const job = jobOf({ setup, evidence: [], findings: findingsOf(setup) });
    expect(job.filter((j) => j.status === 'stop').map((j) => j.step.id)).toContain(step);
  });
});

describe('order', () => {
  const bench = (setup: Setup) => jobOf({ setup, evidence: [], findings: [] });
  it.each(PAIRS.slice(0, 12))(
    '$unit in a $kind: the shortest way does everything once, in an order that holds',
    (pair) => {
      const job = bench(make(pair));
      const way = shortestWay(job);
      const done = way.flatMap((w) => w.steps.map((s) => s.step.id));
      expect([...done].sort()).toEqual(
        job
          .filter((j) => j.status !== 'proven')
          .map((j) => j.step.id)
          .sort(),
      );
      for (const { step, waitsFor } of job)
        for (const before of waitsFor)
          if (done.includes(step.id))
            expect(done.indexOf(before.id), `${before.id} before ${step.id}`).toBeLessThan(
              done.indexOf(step.id),
            );
      // No order of the sessions with fewer changes does: every one of them is tried.
      expect(way.length).toBeLessThanOrEqual(5);
      expect(fewestByTrying(job, way.length - 1)).toBe(false);
    },
  );
  it('follows the school', () => {
    const setup = makeSetup();
    const position = (school: 'sticks-first' | 'unit-first') => {
      setup.intents.school = school;
      const done = shortestWay(bench(structuredClone(setup))).flatMap((w) =>
        w.steps.map((s) => s.step.id),
      );
      return done.indexOf('sticks') - done.indexOf('corrections');
    };
    expect(position('sticks-first')).toBeLessThan(0);
    expect(position('unit-first')).toBeGreaterThan(0);
  });
  it('every step has a name of its own and waits only for steps there are', () => {
    const ids = STEPS.map((s) => s.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const step of STEPS)
      for (const before of step.after(makeSetup())) expect(ids).toContain(before);
  });
});

/** Whether some sequence of that many sessions does all open steps; by trying every one. */
function fewestByTrying(job: ReturnType<typeof jobOf>, length: number): boolean {
  const open = job.filter((j) => j.status !== 'proven');
  const sessions = [...new Set(open.map((j) => j.step.session))];
  const go = (done: Set<string>, left: number): boolean => {
    if (done.size === open.length) return true;
    if (left === 0) return false;
    return sessions.some((session) => {
      const after = new Set(done);
      for (let again = true; again;) {
        again = false;
        for (const j of open)
          if (
            j.step.session === session &&
            !after.has(j.step.id) &&
            j.waitsFor.every((s) => after.has(s.id))
          ) {
            after.add(j.step.id);
            again = true;
          }
      }
      return after.size > done.size && go(after, left - 1);
    });
  };
  return go(new Set(), length);
}

it('says what a change killed, step by step, and why', () => {
  const setup = makeSetup();
  const evidence = watchAs(setup, setup).map((o): Evidence => ({
    ...o,
    parts: stamp(setup, o),
    version: 1,
    at: '2026-01-01T00:00:00.000Z',
  }));
  const moved = structuredClone(setup);
  moved.installation.revisions.unitMoved = 1;
  expect(killedBy(setup, moved, evidence)).toMatchObject([
    { id: 'corrections', count: 8, reasons: ['how the unit sits in the model'] },
  ]);
  expect(killedBy(setup, setup, evidence)).toEqual([]);
});

describe('the order of work does not undo itself', () => {
  /** Everything seen on a model as it stands. */
  function everything(setup: Setup): Evidence[] {
    const seen = (check: string, surface: string, what: Evidence['seen']): Evidence => ({
      check,
      surface,
      seen: what,
      parts: stamp(setup, { check, surface }),
      version: 1,
      at: '2026-01-01T00:00:00.000Z',
    });
    return [
      ...Object.values(TESTS).flatMap(({ script }) =>
        script(setup).map((s) => seen(testSubject(s).check, s.item, 'pass')),
      ),
      ...watchAs(setup, setup, true).map((o) => seen(o.check, o.surface, o.seen)),
      ...readBacksOf(setup).map((r) => seen(`read:${r.id}`, `ch${r.channel}`, '0%')),
    ];
  }
  /** Every step that comes after one, however far. */
  function laterThan(id: string, setup: Setup): Set<string> {
    const later = new Set<string>();
    for (let n = -1; n !== later.size;) {
      n = later.size;
      for (const s of STEPS.filter((x) => x.applies(setup)))
        if (s.after(setup).some((b) => b === id || later.has(b))) later.add(s.id);
    }
    return later;
  }
  /** What is changed at a step when something is found wrong there, or taught. */
  const WORK: [string, (s: Setup) => void][] = [
    [
      'sticks',
      (s) => {
        const output = s.program.outputs.find((o) =>
          /^(aileron|elevator|steering)/.test(o.carries),
        );
        if (output) output.reversed = !output.reversed;
      },
    ],
    [
      'capture',
      (s) => {
        // It never learns exactly what it is sent.
        s.installation.travelCapture = learnTravel(s).map((t) => ({ ...t, maxUs: t.maxUs - 40 }));
      },
    ],
    [
      'steering',
      (s) => {
        const output = s.program.outputs.find((o) => o.carries === 'steering');
        if (output) output.maxPct = 80;
      },
    ],
    [
      'throws',
      (s) => {
        const output = s.program.outputs.find((o) => o.carries === 'elevator');
        if (output) output.maxPct = 80;
      },
    ],
  ];
  it.each(PAIRS.filter(firstOf))('$unit in a $kind', (pair) => {
    for (const school of ['sticks-first', 'unit-first'] as const) {
      const setup = make(pair);
      setup.intents.school = school;
      const evidence = everything(setup);
      for (const [id, change] of WORK) {
        const step = STEPS.find((s) => s.id === id)!;
        if (!step.applies(setup)) continue;
        const after = structuredClone(setup);
        change(after);
        const later = laterThan(id, setup);
        const undone = killedBy(setup, after, evidence)
          .map((k) => k.id)
          // The sheet has another line, which is entered and read back again; other ends are taught again.
          .filter((k) => k !== id && k !== 'entry' && !later.has(k))
          .filter((k) => id !== 'throws' || k !== 'capture');
        expect(undone, `${school}: ${id}`).toEqual([]);
      }
    }
  });
  it('no step waits for itself, however far round', () => {
    for (const pair of PAIRS.filter(firstOf))
      for (const school of ['sticks-first', 'unit-first'] as const) {
        const setup = make(pair);
        setup.intents.school = school;
        for (const { id } of STEPS) expect(laterThan(id, setup).has(id), id).toBe(false);
      }
  });
});
