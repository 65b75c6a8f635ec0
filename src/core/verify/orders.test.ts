import { describe, expect, it } from 'vitest';
import { ORDER_FAULTS, wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { TRANSMITTERS } from '../catalogue';
import { applyPatch } from '../patch';
import { type Setup } from '../setup';
import { createBench, type Snapshot } from '../standin';
import { prove, verify, type Finding } from './index';

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
    expect(asked.every((r) => r.panic!.righted)).toBe(true);
    expect(proof.results.find((r) => r.id === 'panic')!.failures).toEqual([]);
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
    // A launch no other test has proved: what is known already need not be checked.
    const setup = wished({
      launch: { control: 'sh', holdS: 1.7, elevatorPct: 23, releasePct: 13 },
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
