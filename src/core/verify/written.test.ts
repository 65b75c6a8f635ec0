import { describe, expect, it } from 'vitest';
import { wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { UNITS } from '../catalogue';
import { failsafeSchools, panicWays, writeWishes } from '../plan';
import { FAILSAFE_SCHOOLS, PANIC_WAYS, parseSetup, type ProgramWishes, type Setup } from '../setup';
import { createBench } from '../standin';
import { findingsOf, prove, verify } from './index';

/** Programs written from choices, over units, transmitters and schools. */
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
  it.each(share(CLEAN, 3))('$name: valid, no stop, proved to the end', ({ make }) => {
    const setup = make();
    expect(parseSetup(setup)).toMatchObject({ ok: true });
    const stops = findingsOf(setup).filter((f) => f.severity === 'stop');
    expect(stops.map((f) => `${f.rule} ${f.says}`)).toEqual([]);
    const proof = prove(setup);
    expect(proof.complete).toBe(true);
    expect(proof.results.flatMap((r) => r.failures).filter((f) => f.severity === 'stop')).toEqual(
      [],
    );
    // Written again from the same choices nothing changes.
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
    expect(next.ok && next.notes.join()).toMatch(/100 % was chosen, channel \d reaches 90 %/);
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
      /not an autopilot/,
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
