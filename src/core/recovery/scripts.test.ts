import { describe, expect, it } from 'vitest';
import { wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { settled } from '../../../tests/kit/settled';
import { stamp, staleReasons, checklist as testsOf, readings, type Evidence } from '../logbook';
import type { Setup } from '../setup';
import { createBench } from '../standin';
import { failsafeScript, panicScript } from './index';

const panicSetup = () =>
  wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } });

describe('panic script', () => {
  it('goes through every position of the switches, and says what must be seen', () => {
    const script = panicScript(panicSetup());
    expect(script.map((s) => s.does).join('\n')).toMatch(/Switch A far.*\n.*Switch A middle/s);
    // Three modes; where the throttle cut stands makes no other test of it.
    expect(script).toHaveLength(3);
    expect(script[0]!.sees).toContain('self-levelling engages after 0.3 s');
    expect(script[0]!.sees.join()).toMatch(/left aileron goes up and stays there/);
    expect(script[0]!.sees.join()).toMatch(/panic released: off again/);
  });
  it('a switch that changes nothing of it is tried in each of its places in one test, sticks let go', () => {
    const script = panicScript(
      wished({
        panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
        launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
      }),
    );
    expect(script).toHaveLength(3);
    for (const { item, does } of script) {
      expect(item).toMatch(/-of-2$/);
      expect(does).toMatch(/first with Switch H \w+, then with Switch H \w+\./);
      expect(does).not.toMatch(/stick at/);
    }
  });
  it('positions that answer otherwise stay tests of their own', () => {
    const setup = wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } });
    const line = setup.program.lines.find((l) => l.id === 'panic-mode')!;
    const holed = structuredClone(setup);
    // With Switch F far panic does nothing: one place of it is right and the other is not.
    holed.program.lines.find((l) => l.id === line.id)!.when = {
      kind: 'all',
      of: [line.when!, { kind: 'not', of: { kind: 'switch', control: 'sf', position: 0 } }],
    };
    const script = panicScript(holed);
    const wrong = script.filter((s) => s.sees[0]!.startsWith('WRONG'));
    expect(wrong.length).toBeGreaterThan(0);
    for (const { does } of wrong) expect(does).toMatch(/Switch F far/);
    expect(script.length).toBeGreaterThan(panicScript(setup).length);
  });
  it('is empty without panic, and tells a hole', () => {
    expect(panicScript(makeSetup())).toEqual([]);
    const holed = structuredClone(panicSetup());
    const line = holed.program.lines.find((l) => l.id === 'panic-mode')!;
    holed.program.lines = [line, ...holed.program.lines.filter((l) => l !== line)];
    expect(panicScript(holed)[0]!.sees[0]).toMatch(/^WRONG in the program: rate/);
  });
});

describe('failsafe script', () => {
  it('stops the motor first, then looks at surfaces, then tips, then switches on again', () => {
    const script = failsafeScript(makeSetup());
    expect(script.map((s) => s.item)).toEqual(['motor', 'surfaces', 'tilt', 'back']);
    expect(script[0]!.does).toMatch(/Propeller off, the model held.*motor runs at 35 %/);
    expect(script[0]!.sees[0]).toMatch(/motor stops/);
    expect(script[2]!.sees.join()).toMatch(/left aileron goes up/);
  });
  it('tells a motor that would run on', () => {
    const setup = makeSetup('conventional', 'switch-receiver');
    setup.program.failsafe = setup.program.failsafe.filter((f) => f.channel !== 3);
    expect(failsafeScript(setup)[0]!.sees[0]).toMatch(/^WRONG in the program: the motor runs on/);
  });
  it('asks nothing about a motor of a glider', () => {
    const setup = makeSetup();
    setup.airframe.motors = [];
    setup.installation.plugs = setup.installation.plugs.filter((p) => !p.drives.includes('motor'));
    expect(failsafeScript(setup).map((s) => s.item)).not.toContain('motor');
  });
});

describe('evidence of tests and readings', () => {
  const keep = (
    setup: Setup,
    check: string,
    surface: string,
    seen: Evidence['seen'],
  ): Evidence => ({
    check,
    surface,
    seen,
    parts: stamp(setup, { check, surface }),
    version: 1,
    at: '2026-01-01T00:00:00.000Z',
  });
  const changes: [string, (s: Setup) => void, 'panic' | 'failsafe' | 'read', boolean][] = [
    [
      'a mode line',
      (s) => void (s.program.lines.find((l) => l.id === 'mode')!.sharePct = 90),
      'panic',
      true,
    ],
    [
      'a slot of the unit',
      (s) => void (s.unit.settings.slots = ['off', 'level', 'rate']),
      'panic',
      true,
    ],
    ['a crash', (s) => void (s.installation.revisions.crash += 1), 'panic', true],
    ['a rate', (s) => void (s.program.inputs[0]!.rates[0]!.sharePct = 80), 'panic', false],
    ['a name', (s) => void (s.name = 'Other'), 'panic', false],
    ['the failsafe', (s) => void s.program.failsafe.pop(), 'failsafe', true],
    ['the failsafe, for panic', (s) => void s.program.failsafe.pop(), 'panic', false],
    ['the radio module', (s) => void (s.installation.revisions.radioModule += 1), 'failsafe', true],
    ['the throttle’s end', (s) => void (s.program.outputs[2]!.maxPct = 90), 'failsafe', true],
    ['the channel’s end', (s) => void (s.program.outputs[0]!.maxPct = 90), 'read', true],
    ['its rate', (s) => void (s.program.inputs[0]!.rates[0]!.sharePct = 80), 'read', true],
    ['another channel', (s) => void (s.program.outputs[1]!.maxPct = 90), 'read', false],
    ['the scale', (s) => void (s.transmitter.pulse.usAt100 = 500), 'read', true],
  ];
  it.each(changes)('%s changed', (_, change, kind, stale) => {
    const setup = panicSetup();
    const evidence =
      kind === 'read'
        ? keep(setup, 'read:ch1-0', 'ch1', '-100%')
        : keep(setup, `test:${kind}`, kind === 'panic' ? 'from-1' : 'motor', 'pass');
    expect(staleReasons(setup, evidence)).toEqual([]);
    const next = structuredClone(setup);
    change(next);
    expect(staleReasons(next, evidence).length > 0).toBe(stale);
  });
  it('is proven, wrong, or to do', () => {
    const setup = panicSetup();
    const all = [
      keep(setup, 'test:panic', 'from-1', 'pass'),
      keep(setup, 'test:panic', 'from-2', 'fail'),
    ];
    expect(testsOf(setup, all, 'panic').map((t) => t.status)).toEqual(['proven', 'stop', 'todo']);
    const [first] = readings(setup, []);
    const read = (value: number) =>
      readings(setup, [
        keep(setup, `read:${first!.asked.id}`, `ch${first!.asked.channel}`, `${value}%`),
      ])[0]!.status;
    expect(read(Math.round(first!.asked.predictedPct) + 1)).toBe('proven');
    expect(read(Math.round(first!.asked.predictedPct) + 9)).toBe('stop');
  });
});

describe('a step played on the bench', () => {
  const panics = [
    panicSetup(),
    wished({ panic: { way: 'replace', control: 'sm', holdS: 0, gainPct: 40 } }),
  ];
  it.each(panics)('panic: every surface goes where the step says (%#)', (setup) => {
    const steps = panicScript(setup);
    expect(steps.length).toBeGreaterThan(1);
    for (const step of steps) {
      const { twin, attitudeDeg, linkUp } = settled(setup, step);
      expect([Math.round(attitudeDeg.roll), linkUp]).toEqual([50, true]);
      const goes = step.sees.flatMap((s) => /^(.+) goes (\w+) and stays there$/.exec(s) ?? []);
      expect(goes.length).toBeGreaterThan(0);
      for (let i = 0; i < goes.length; i += 3)
        expect(twin.join('; '), step.does).toMatch(
          new RegExp(`${goes[i + 1]} \\d+° ${goes[i + 2]}`),
        );
    }
  });
  it.each([makeSetup(), makeSetup('flying-wing'), makeSetup('conventional', 'autopilot')])(
    'failsafe: surfaces and motor are where the steps say (%#)',
    (setup) => {
      const steps = failsafeScript(setup);
      for (const step of steps) expect(step.state, step.item).toBeDefined();
      const surfaces = steps.find((s) => s.item === 'surfaces')!;
      const { twin, linkUp } = settled(setup, surfaces);
      expect(linkUp).toBe(false);
      for (const seen of surfaces.sees) expect(twin).toContain(seen);
      const back = settled(setup, steps.at(-1)!);
      expect([back.linkUp, Math.max(...back.motorPct)]).toEqual([true, 0]);
    },
  );
  it('what was put before leaves nothing behind', () => {
    const setup = panicSetup();
    const bench = createBench(setup);
    const still = bench.advance(0.033);
    for (const { state } of [...panicScript(setup), ...failsafeScript(setup)]) {
      bench.put(state!);
      bench.advance(1);
    }
    bench.put({ controls: {} });
    let shown = bench.advance(0.033);
    for (let i = 0; i < 150; i++) shown = bench.advance(0.033);
    expect(shown.twin).toEqual(still.twin);
    expect([shown.controls, shown.linkUp]).toEqual([still.controls, true]);
  });
});
