import { describe, expect, it } from 'vitest';
import { ORDER_FAULTS, wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { TRANSMITTERS, UNITS } from '../catalogue';
import { applyPatch } from '../patch';
import { failsafeSchools, panicWays, writeWishes } from '../plan';
import { FAILSAFE_SCHOOLS, PANIC_WAYS, parseSetup, type ProgramWishes, type Setup } from '../setup';
import { createBench, type Snapshot } from '../standin';
import { findingsOf, prove, verify, type Finding } from './index';

const fault = (rule: string, words: string): { setup: Setup; found: Finding } => {
  const [, , start, spoil] = ORDER_FAULTS.find(([r, w]) => r === rule && w === words)!;
  const setup = structuredClone(start());
  spoil(setup);
  return { setup, found: verify(setup).find((f) => f.rule === rule)! };
};

/** Does on the bench what the witness says. */
function replay(setup: Setup, found: Finding): Snapshot {
  const bench = createBench(setup);
  // Panic and launch are watched on an armed unit, flying.
  bench.setControl('stick-throttle', 100);
  bench.advance(0);
  bench.setControl('stick-throttle', -100);
  const { controls, steps } = found.witness!;
  return bench.play(
    steps ?? Object.entries(controls).map(([control, value]) => ({ control, value })),
  );
}

describe('witnesses, replayed on the bench, show the fault', () => {
  const shows: [string, string, (s: Snapshot, setup: Setup) => void][] = [
    ['M1', 'order turned round', (s) => expect(s.mode).toBe('level')],
    ['M2', 'mode line turned round', (s) => expect(s.mode).toBe('level')],
    [
      'M10',
      'knob down, nothing sent',
      (s) => {
        expect(s.mode).toBe('level');
        expect(s.gainPct[0]).toBeLessThan(1);
      },
    ],
    ['M10', 'knob down, recovery channel', (s) => expect(s.recovering).toBe(true)],
    ['M11', 'one position without its amount', (s) => expect(s.mode).not.toBe('level')],
    ['M11', 'one fixed mix for all', (s) => expect(s.mode).not.toBe('level')],
    ['M11', 'replacing line before the mode line', (s) => expect(s.mode).not.toBe('level')],
    [
      'M38',
      'sign turned round',
      (s, setup) => {
        const at = setup.airframe.surfaces.findIndex((x) => x.role === 'elevator');
        expect(s.surfaceDeg[at]).toBeGreaterThan(1);
      },
    ],
    ['M38', 'servo reversed afterwards', (s) => expect(s.surfaceDeg[2]).toBeGreaterThan(1)],
  ];
  it.each(shows)('%s, %s', (rule, words, check) => {
    const { setup, found } = fault(rule, words);
    expect(found.severity).not.toBe('note');
    check(replay(setup, found), setup);
  });
  it.each(['throttle held', 'throttle preset at half'])('M13, %s: with the link cut', (words) => {
    const { setup, found } = fault('M13', words);
    const bench = createBench(setup);
    for (const [id, value] of Object.entries(found.witness!.controls)) bench.setControl(id, value);
    bench.advance(0.02);
    bench.setLink(false);
    expect(bench.advance(0.02).motorPct[0]).toBeGreaterThan(5);
  });
  it('M11: with one position’s numbers removed the proof gives that position', () => {
    const { found } = fault('M11', 'one position without its amount');
    expect(found.says).toMatch(/Switch A far/);
    expect(found.witness!.controls).toMatchObject({ sm: 100 });
    expect(found.witness!.controls.sa ?? -100).toBe(-100);
  });
});

describe('panic by mixes from a three-position mode switch', () => {
  it('brings the mode channel to level from every position: +200, +100, none', () => {
    const setup = wished({ panic: { way: 'offsets', control: 'sm', holdS: 0, gainPct: 60 } });
    const mixes = setup.program.lines.filter((l) => l.id.startsWith('panic-mode'));
    expect(mixes.map((l) => l.sharePct)).toEqual([200, 100]);
    const proof = prove(setup);
    expect(proof.complete).toBe(true);
    const asked = proof.rows.filter((r) => r.panic);
    expect(asked.length).toBeGreaterThan(3);
    expect(asked.every((r) => r.panic!.righted && r.panic!.reversible)).toBe(true);
  });
});

/** Programs written from wishes, over units, transmitters and schools. */
const CLEAN: { name: string; make: () => Setup }[] = Object.keys(UNITS)
  .filter((unit) => unit !== 'steering-receiver')
  .flatMap((unit) =>
    ['line-sixteen', 'function-eight', 'switch-value-ten', 'line-eight'].flatMap((tx) => {
      const base = makeSetup('conventional', unit, tx);
      if (base.program.outputs.length === 0) return [];
      const usual = base.intents.program;
      const ways = panicWays(base);
      const schools = failsafeSchools(base);
      const free = base.transmitter.controls.find((c) => c.kind === 'momentary');
      const variants: [string, Partial<ProgramWishes>][] = [
        ['usual', {}],
        [
          'rates, callouts, timer',
          {
            rates: {
              by: 'mode',
              off: { pct: 50, expoPct: 30 },
              on: { pct: 100, expoPct: 20 },
            },
            voice: { modes: true },
            timer: { minutes: 8 },
          },
        ],
        ...PANIC_WAYS.filter((w) => w !== 'none' && w !== 'mode-position')
          .filter((w) => ways[w] === undefined && free)
          .map((way): [string, Partial<ProgramWishes>] => [
            `panic by ${way}`,
            { panic: { way, control: free!.id, holdS: 0.3, gainPct: 60 } },
          ]),
        ...FAILSAFE_SCHOOLS.filter((s) => schools[s] === undefined).map(
          (school): [string, Partial<ProgramWishes>] => [
            `failsafe ${school}`,
            { failsafe: { school, pitchDeg: 3, rollDeg: 12 } },
          ],
        ),
      ];
      return variants.map(([words, change]) => ({
        name: `${unit}, ${tx}, ${words}`,
        make: () => {
          const next = writeWishes(base, { ...usual, ...change });
          if (!next.ok) throw new Error(next.reasons.join('; '));
          return next.setup;
        },
      }));
    }),
  );

describe('programs written from wishes', () => {
  it('are many', () => expect(CLEAN.length).toBeGreaterThanOrEqual(100));
  it.each(CLEAN)('$name: valid, no stop, proved to the end', ({ make }) => {
    const setup = make();
    expect(parseSetup(setup)).toMatchObject({ ok: true });
    const stops = findingsOf(setup).filter((f) => f.severity === 'stop');
    expect(stops.map((f) => `${f.rule} ${f.says}`)).toEqual([]);
    const proof = prove(setup);
    expect(proof.complete).toBe(true);
    expect(proof.results.flatMap((r) => r.failures).filter((f) => f.severity === 'stop')).toEqual(
      [],
    );
    // Written again from the same wishes nothing changes.
    const again = writeWishes(setup, setup.intents.program);
    expect(again).toMatchObject({ ok: true });
    if (again.ok) expect(again.setup).toEqual(setup);
  });
});

describe('gain', () => {
  const gainsOf = (setup: Setup, control: string) =>
    [-100, 0, 100].map((value) => {
      const bench = createBench(setup);
      bench.setControl(control, value);
      return Math.round(bench.advance(0).gainPct[0]!);
    });
  it('laid over each law: the whole knob is the whole gain', () => {
    for (const [unit, weight, offset] of [
      ['switch-receiver', 50, 50],
      ['fixed-order-receiver', 50, 50],
      ['menu-receiver', 100, 0],
    ] as const) {
      const setup = wished({}, unit, 'switch-value-ten');
      const knob = setup.intents.program.gain;
      const line = setup.program.lines.find((l) => l.id === 'gain-knob')!;
      expect([line.sharePct, line.shiftPct]).toEqual([weight, offset]);
      expect(gainsOf(setup, knob?.by === 'knob' ? knob.control : '')).toEqual([0, 50, 100]);
    }
  });
  it('by flaps with a master off: three values, and off wins everywhere', () => {
    const setup = wished({
      gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sh', offPositions: [1] },
    });
    for (const flap of [-100, 0, 100]) {
      const bench = createBench(setup);
      bench.setControl('sb', flap);
      expect(bench.advance(0).gainPct[0]).toBeCloseTo(45 + flap * 0.15, -0.5);
      bench.setControl('sh', 100);
      expect(bench.advance(0).gainPct[0]).toBeLessThan(1);
    }
    expect(prove(setup).masterOff).toContainEqual({ control: 'sh', value: 100 });
  });
  it('in two sets: the switch chooses the side, the knob never crosses', () => {
    const setup = wished(
      { gain: { by: 'sets', control: 'sa', knob: 'k1', pct: 50 } },
      'satellite-gyro',
    );
    const bench = createBench(setup);
    for (const [sa, mode] of [
      [-100, 'rate'],
      [0, 'off'],
      [100, 'hold'],
    ] as const)
      for (const knob of [-80, 0, 100]) {
        bench.setControl('sa', sa);
        bench.setControl('k1', knob);
        expect(bench.advance(0).mode).toBe(mode);
      }
  });
  it('says when a scale is too short for what was wished', () => {
    const setup = makeSetup('conventional', 'menu-receiver', 'function-eight');
    const next = writeWishes(setup, { ...setup.intents.program, gain: { by: 'fixed', pct: 100 } });
    expect(next.ok && next.notes.join()).toMatch(/100 % was wished for, channel \d reaches 90 %/);
  });
});

describe('launch help', () => {
  const setup = wished({
    launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10, adjust: 'trim-rudder' },
  });
  it('comes after a second, stays when let go, lifts the elevator, ends with a stick', () => {
    const bench = createBench(setup);
    bench.setControl('sh', 100);
    bench.advance(0.02);
    expect(bench.advance(0.5).mode).toBe('off');
    expect(bench.advance(0.6).mode).toBe('level');
    bench.setControl('sh', -100);
    const flying = bench.advance(0.1);
    expect(flying.mode).toBe('level');
    expect(flying.surfaceDeg[2]).toBeLessThan(-1);
    bench.setControl('trim-rudder', 100);
    expect(bench.advance(0.02).surfaceDeg[2]).toBeLessThan(flying.surfaceDeg[2]!);
    bench.setControl('stick-aileron', 15);
    expect(bench.advance(0.02).mode).toBe('off');
    bench.setControl('stick-aileron', 0);
    expect(bench.advance(0.02).mode).toBe('off');
  });
  it('is not let go by a trim', () => {
    const bench = createBench(setup);
    bench.setControl('sh', 100);
    bench.advance(0.02);
    bench.advance(1.1);
    bench.setControl('trim-aileron', 100);
    expect(bench.advance(0.02).mode).toBe('level');
  });
  it.each(['flying-wing', 'v-tail'] as const)('lifts both halves of a %s mix', (kind) => {
    const base = makeSetup(kind, 'satellite-gyro');
    const next = writeWishes(base, {
      ...base.intents.program,
      launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
    });
    if (!next.ok) throw new Error(next.reasons.join());
    expect(next.notes.join()).toMatch(/elevator alone/);
    expect(verify(next.setup).filter((f) => f.rule === 'M38')).toEqual([]);
    const lifts = next.setup.program.lines.filter((l) => l.follows.kind === 'variable');
    expect(lifts.map((l) => l.purpose)).toEqual(['launch', 'launch']);
  });
});

describe('wishes that cannot be', () => {
  const base = makeSetup();
  const usual = base.intents.program;
  it.each<[string, Partial<ProgramWishes>, RegExp, string]>([
    [
      'three modes on two positions',
      { modes: { switches: ['sg'], table: ['off', 'rate', 'level'] } },
      /Switch G has 2 positions, 3 modes were asked for/,
      '/intents/program/modes/table',
    ],
    [
      'a mode the unit lacks',
      { modes: { switches: ['sa'], table: ['off', 'rate', 'home'] } },
      /no home mode/,
      '/intents/program/modes/table/2',
    ],
    [
      'a control that is not there',
      { gain: { by: 'knob', control: 'k9' } },
      /no control "k9"/,
      '/intents/program/gain/control',
    ],
    [
      'a knob for a switch',
      { cut: { control: 'k1', position: 0 } },
      /is a knob, not a switch/,
      '/intents/program/cut/control',
    ],
    [
      'too few values',
      { gain: { by: 'values', control: 'sb', pct: [10, 20] } },
      /3 positions, 2 values/,
      '/intents/program/gain/pct',
    ],
    [
      'panic without a control',
      { panic: { way: 'replace', holdS: 0 } },
      /needs a control/,
      '/intents/program/panic/control',
    ],
    [
      'the same switch twice',
      { modes: { switches: ['sa', 'sa'], table: Array(9).fill('rate') as 'rate'[] } },
      /the same switch twice/,
      '/intents/program/modes/switches/1',
    ],
  ])('%s: refused at its place', (_, change, reason, path) => {
    const next = writeWishes(base, { ...usual, ...change });
    expect(next).toMatchObject({ ok: false });
    if (next.ok) return;
    expect(next.reasons.join()).toMatch(reason);
    expect(next.paths).toContain(path);
  });
  it.each<[string, Partial<ProgramWishes>, string, RegExp]>([
    [
      'home without an autopilot',
      { failsafe: { school: 'home', pitchDeg: 0, rollDeg: 0 } },
      'menu-receiver',
      /no autopilot/,
    ],
    [
      'panic without levelling',
      { panic: { way: 'replace', control: 'sm', holdS: 0 } },
      'button-stabilizer',
      /cannot level/,
    ],
    ['gain without a channel', { gain: { by: 'fixed', pct: 30 } }, 'dial-gyro', /no gain channel/],
  ])('%s: says why', (_, change, unit, reason) => {
    const setup = makeSetup('conventional', unit);
    const next = writeWishes(setup, { ...setup.intents.program, ...change });
    expect(!next.ok && next.reasons.join()).toMatch(reason);
  });
  it('leaves lines of one’s own alone', () => {
    const own = structuredClone(base);
    own.program.lines.push({
      id: 'mine',
      channel: 9,
      follows: { kind: 'control', id: 'l2' },
      sharePct: 70,
      shiftPct: 3,
      effect: 'adds',
      purpose: 'other',
    });
    const next = writeWishes(own, usual);
    expect(next.ok && next.setup.program.lines.some((l) => l.id === 'mine')).toBe(true);
  });
});

describe('the proof', () => {
  it('counts what it leaves out, and leaves out only what cannot matter', () => {
    const setup = wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } });
    const proof = prove(setup);
    expect(proof.unreduced).toBeGreaterThan(1e7);
    expect(proof.visited).toBeLessThan(200);
    const outside = setup.transmitter.controls.filter((c) => !proof.controls.includes(c.id));
    // Whatever is left out changes nothing about any row.
    for (const row of proof.rows.filter((r, i) => i % 3 === 0 && r.remembered.length === 0))
      for (const c of outside) {
        const bench = createBench(setup);
        proof.controls.forEach((id, i) => bench.setControl(id, row.values[i]!));
        for (const value of [-100, 100]) {
          bench.setControl(c.id, value);
          const s = bench.advance(0);
          expect(s.mode).toBe(row.mode);
          s.gainPct.forEach((gain, i) => {
            expect(gain).toBeGreaterThanOrEqual(row.gainLoPct[i]! - 0.01);
            expect(gain).toBeLessThanOrEqual(row.gainPct[i]! + 0.01);
          });
        }
      }
  });
  it('agrees with trying everything, where that is possible', () => {
    // A transmitter small enough to try every control against every other.
    const setup = wished({}, 'menu-receiver', 'line-eight');
    const proof = prove(setup);
    const { controls } = setup.transmitter;
    const moving = controls.filter((c) => c.kind !== 'trim' && c.kind !== 'stick');
    const options = moving.map((c) => (c.kind === 'switch-2' ? [-100, 100] : [-100, 0, 100]));
    const total = options.reduce((n, o) => n * o.length, 1);
    const bench = createBench(setup);
    const met = new Set<number>();
    for (let n = 0; n < total; n++) {
      let rest = n;
      moving.forEach((c, i) => {
        bench.setControl(c.id, options[i]![rest % options[i]!.length]!);
        rest = Math.floor(rest / options[i]!.length);
      });
      const s = bench.advance(0);
      const at = proof.rows.findIndex(
        (r) =>
          r.mode === s.mode &&
          s.gainPct.every((g, i) => g >= r.gainLoPct[i]! - 0.01 && g <= r.gainPct[i]! + 0.01),
      );
      expect(at).toBeGreaterThanOrEqual(0);
      met.add(at);
    }
    expect(new Set([...met].map((i) => proof.rows[i]!.mode))).toEqual(
      new Set(proof.rows.map((r) => r.mode)),
    );
  });
  it('gives up when told to, and says that it is not complete', () => {
    const setup = wished({
      launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
    });
    expect(prove(setup, { onProgress: () => false }).complete).toBe(false);
    expect(prove(setup, { limit: 50 }).complete).toBe(false);
    expect(prove(setup).complete).toBe(true);
  });
  it('finds every transmitter’s orders in a few states', () => {
    for (const tx of Object.keys(TRANSMITTERS)) {
      if (tx === 'surface-four') continue;
      expect(prove(makeSetup('conventional', 'menu-receiver', tx)).visited).toBeLessThan(200);
    }
  });
  it('offers repairs that the proof then accepts', () => {
    const { setup, found } = fault('M11', 'one fixed mix for all');
    expect(found.remedies.length).toBeGreaterThan(0);
    for (const remedy of found.remedies) {
      const proof = prove(applyPatch(setup, remedy.patch));
      expect(proof.rows.filter((r) => r.panic).every((r) => r.panic!.righted)).toBe(true);
    }
  });
});
