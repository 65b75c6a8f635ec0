import { describe, expect, it } from 'vitest';
import { PROGRAMS } from '../../../tests/kit/programs';
import { anywhere, randomOf } from '../../../tests/kit/random-program';
import { makeSetup } from '../../../tests/kit/setups';
import { SEED, share } from '../../../tests/kit/share';
import { applyPatch } from '../patch';
import { outOfStep } from '../plan';
import { parseSetup, roleOf, type Setup } from '../setup';
import { byEye, monitorOf } from '../sheets';
import { asking, disturbed, infer, takenIn, USUAL_ROWS, type Asking, type Reading } from './index';

/** What only shows over time is in no reading: a latch for the launch, a trigger that brakes first. */
const REMEMBERS = new Set(['launch-on', 'reverse-free']);
const remembers = (s: Setup) => s.program.logic.some((l) => REMEMBERS.has(l.id));

const READABLE = PROGRAMS.filter(([, setup]) => !remembers(setup));

/** A hand held between its ends by estimate stands up to this far off. */
const HELD_WRONG_PCT = 3;
/** Orders to the unit are exact; a stick is as near as an eye holds it and a curve of few points goes. */
const NEAR_PCT = { order: 2, stick: 10 };

const allRead = new WeakMap<Setup, { readings: Reading[]; asked: Asking[] }>();

/** Everything asked, read off the monitor as a person reads it; once for each Setup. */
function readOnce(setup: Setup): { readings: Reading[]; asked: Asking[] } {
  const asked: Asking[] = [];
  const found = allRead.get(setup) ?? {
    readings: readAll(setup, randomOf(700 + SEED), (a) => asked.push(a)),
    asked,
  };
  allRead.set(setup, found);
  return found;
}

/** The same, in whole percent, with positions between the ends estimated. */
function readAll(
  setup: Setup,
  random = randomOf(700 + SEED),
  heard: (asked: Asking) => void = () => undefined,
): Reading[] {
  const monitor = monitorOf(setup);
  const held = (hands: Record<string, number>) =>
    Object.fromEntries(
      Object.entries(hands).map(([id, value]) => {
        const control = setup.transmitter.controls.find((c) => c.id === id)!;
        const off = byEye(control, value) ? (random() * 2 - 1) * HELD_WRONG_PCT : 0;
        return [id, value + off];
      }),
    );
  const channels = setup.program.outputs.map((o) => o.channel);
  const readings: Reading[] = [];
  for (;;) {
    const next = asking(setup.transmitter, readings);
    const [controls] = next.rows;
    if (!controls) return readings;
    heard(next);
    if (readings.length > 200) throw new Error('asked without end');
    const hands = held(controls);
    readings.push({
      controls,
      channels: Array.from({ length: Math.max(...channels) }, (_, i) =>
        channels.includes(i + 1) ? Math.round(monitor.read(i + 1, hands).pct) : undefined,
      ),
    });
  }
}

/** Everything read and taken in, as the Setup then is. */
function readIn(setup: Setup, random?: () => number): Setup {
  const found = infer(
    setup.transmitter,
    random ? readAll(setup, random) : readOnce(setup).readings,
  );
  if (!found.ok) throw new Error(JSON.stringify(found));
  const read = parseSetup(applyPatch(setup, takenIn(setup, found.channels)));
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return read.value;
}

/** Every control anywhere. */
const everywhere = ({ transmitter }: Setup, random: () => number): Record<string, number> =>
  Object.fromEntries(
    transmitter.controls
      .filter((c) => c.kind !== 'trim')
      .map((c) => [c.id, anywhere(c.kind, random)]),
  );

describe('a program read in, question by question', () => {
  it.each(share(READABLE, 20))('%s: the same on the chain wherever the hands are', (_, setup) => {
    const again = readIn(setup);
    const random = randomOf(900 + SEED);
    const [was, is] = [monitorOf(setup), monitorOf(again)];
    for (let i = 0; i < 120; i++) {
      const hands = everywhere(setup, random);
      for (const { channel, carries } of setup.program.outputs)
        expect(
          Math.abs(was.read(channel, hands).pct - is.read(channel, hands).pct),
          `${carries} ${JSON.stringify(hands)}`,
        ).toBeLessThanOrEqual(roleOf(carries) === 'order' ? NEAR_PCT.order : NEAR_PCT.stick);
    }
  });
  it('is the person’s own: nothing is written over, and no wish asks to write it again', () => {
    const [, setup] = READABLE.find(([name]) => name === 'trainer')!;
    const again = readIn(setup);
    expect(again.program.lines.every((l) => l.owner === undefined)).toBe(true);
    expect(again.program.aside).toHaveLength(setup.program.lines.length);
    const line = (id: string) => again.program.lines.find((l) => l.id === id);
    const moded = outOfStep(again).filter((w) => w === 'modes' || w === 'gain' || w === 'sticks');
    expect(moded).toEqual([]);
    expect(again.program.lines.map((l) => l.purpose)).toEqual(
      expect.arrayContaining(['stick', 'mode', 'gain', 'panic', 'throttle-cut']),
    );
    expect(line(setup.program.lines[0]!.id)).toBeUndefined();
  });
  // A whole transmitter is read for it, which takes as long as all the others together.
  it.runIf(share(['product'], 5).includes('product'))(
    'leaves a channel that no simple program gives just as it was, though it shares its inputs',
    () => {
      const setup = structuredClone(makeSetup());
      const aileron = setup.program.outputs.find((o) => o.carries === 'aileron')!.channel;
      // A knob that scales a stick is a product, which no tree of sums gives.
      setup.program.lines.push({
        id: 'scaled',
        channel: aileron,
        follows: { kind: 'control', id: 'k2' },
        sharePct: 50,
        shiftPct: 50,
        effect: 'scales',
      });
      const found = infer(setup.transmitter, readAll(setup));
      expect([...found.unexplained, ...found.unsettled.map((u) => u.channel)]).toEqual([aileron]);
      expect(found.channels.map((c) => c.channel)).not.toContain(aileron);
      const read = parseSetup(applyPatch(setup, takenIn(setup, found.channels)));
      if (!read.ok) throw new Error(read.problems[0]!.reason);
      const [was, is] = [monitorOf(setup), monitorOf(read.value)];
      const random = randomOf(300 + SEED);
      for (let i = 0; i < 150; i++) {
        const hands = everywhere(setup, random);
        expect(is.read(aileron, hands).pct).toBeCloseTo(was.read(aileron, hands).pct, 9);
      }
    },
  );
  it('what follows a reversed channel that is read in follows on; one it would shift is named', () => {
    const setup = structuredClone(makeSetup('conventional', 'menu-receiver', 'line-eight'));
    const [from, to] = ['aileron', 'rudder'].map((carries) =>
      setup.program.outputs.find((o) => o.carries === carries)!,
    );
    setup.program.lines.push({
      id: 'follower',
      channel: to!.channel,
      follows: { kind: 'channel', channel: from!.channel },
      sharePct: 30,
      shiftPct: 0,
      effect: 'adds',
    });
    from!.reversed = true;
    const readings = readAll(setup);
    const all = infer(setup.transmitter, readings);
    const found = all.channels.filter((f) => f.channel === from!.channel);
    expect(found).toHaveLength(1);
    const next = applyPatch(setup, takenIn(setup, found));
    expect(disturbed(setup, next, found)).toEqual([]);
    const [was, is] = [monitorOf(setup), monitorOf(next)];
    for (const value of [-100, -50, 0, 50, 100])
      for (const { channel } of [from!, to!])
        expect(
          Math.abs(
            is.read(channel, { 'stick-aileron': value }).pct -
              was.read(channel, { 'stick-aileron': value }).pct,
          ),
        ).toBeLessThanOrEqual(NEAR_PCT.stick);
    from!.maxPct = 60;
    const shortened = infer(setup.transmitter, readAll(setup)).channels.filter(
      (f) => f.channel === from!.channel,
    );
    const moved = applyPatch(setup, takenIn(setup, shortened));
    expect(disturbed(setup, moved, shortened)).toEqual([to!.channel]);
  });
  it('read in again, what was read before gives way', () => {
    const [, setup] = READABLE.find(([name]) => name === 'pilot-boat')!;
    // Read without an eye’s faults, or the second reading may see a bend where the first saw none.
    const exactly = () => 0.5;
    const once = readIn(setup, exactly);
    const twice = readIn(once, exactly);
    const names = ({ program }: Setup) =>
      [program.lines, program.shapes].map((list) => list.map((e) => e.id));
    expect(names(twice)).toEqual(names(once));
    expect(twice.program.aside).toEqual(once.program.aside);
  });
  it('read in again, what the person made of the first reading stays, switched off', () => {
    const [, setup] = READABLE.find(([name]) => name === 'pilot-boat')!;
    const exactly = () => 0.5;
    const once = structuredClone(readIn(setup, exactly));
    const line = once.program.lines.find((l) => l.id.startsWith('read-'))!;
    Object.assign(line, { sharePct: 61, note: 'Softer, for the harbour' });
    const twice = readIn(once, exactly);
    expect(twice.program.aside!.map((a) => a.line)).toContainEqual(line);
    expect(parseSetup(JSON.parse(JSON.stringify(twice)))).toMatchObject({ ok: true });
    // Off and on again a third time nothing is heaped up.
    expect(readIn(twice, exactly).program.aside).toEqual(twice.program.aside);
  });
  it('asks first for everything at rest, never twice for the same, and comes to an end', () => {
    const [, setup] = READABLE[0]!;
    const asked = readOnce(setup).readings.map((r) => JSON.stringify(r.controls));
    expect(asked[0]).toBe('{}');
    expect(new Set(asked).size).toBe(asked.length);
  });
  it.each(share(READABLE, 20))(
    '%s: ends within twenty rows, and what is still to come never grows without a reason',
    (_, setup) => {
      const { readings, asked } = readOnce(setup);
      expect(readings.length).toBeLessThanOrEqual(USUAL_ROWS);
      expect(asked).toHaveLength(readings.length);
      let most = Infinity;
      for (const [n, next] of asked.entries()) {
        expect(next.least).toBeLessThanOrEqual(next.most);
        expect(next.most <= most - (n > 0 ? 1 : 0) || next.because !== undefined).toBe(true);
        ({ most } = next);
      }
    },
  );
  it('stopped after any row: what is open is said to be open, and what is given is what was read', () => {
    const [, setup] = READABLE.find(([name]) => name === 'trainer')!;
    const readings = readAll(setup, () => 0.5);
    const right = infer(setup.transmitter, readings);
    expect(right.ok).toBe(true);
    // Early, half way, and just before the end.
    for (const n of [1, 2, 5, 10, readings.length - 1]) {
      const some = infer(setup.transmitter, readings.slice(0, n));
      const told = some.channels.length + some.unsettled.length + some.unexplained.length;
      expect(told).toBe(setup.program.outputs.length);
      // Nothing is written before every control was in each of its places.
      if (n < 3) expect(some.unread.length).toBeGreaterThan(0);
      const again = monitorOf(applyPatch(setup, takenIn(setup, some.channels)));
      for (const r of readings.slice(0, n))
        for (const { channel } of some.channels)
          expect(
            Math.abs(again.read(channel, r.controls).pct - r.channels[channel - 1]!),
          ).toBeLessThanOrEqual(NEAR_PCT.stick);
    }
  });
});
