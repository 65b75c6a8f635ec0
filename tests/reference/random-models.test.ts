import { describe, expect, it } from 'vitest';
import { diagnose } from '@/core/directions';
import { TESTS } from '@/core/logbook';
import { controlsWished, parseSetup } from '@/core/setup';
import { sheetFor } from '@/core/sheets';
import { prove, verify } from '@/core/verify';
import { randomModel } from '../kit/random-model';
import { watch } from '../kit/setups';
import { FULL } from '../kit/share';

const COUNT = FULL ? 900 : 16;

describe('models made by dice', () => {
  const made = Array.from({ length: COUNT }, (_, i) => randomModel(i + 1));
  const built = made.flatMap((m) => (m.ok ? [m] : []));

  it('are built as often as not', () => expect(built.length).toBeGreaterThan(COUNT / 5));

  it.each(built.map((m) => [m.name, m] as const))('%s', (_, { setup }) => {
    const read = parseSetup(JSON.parse(JSON.stringify(setup)));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value).toEqual(setup);
    expect(prove(setup).complete).toBe(true);
    // With every control used up something may be left that nothing moves.
    const used = new Set(controlsWished(setup.intents.program));
    const free = setup.transmitter.controls.some(
      (c) => !['stick', 'trim'].includes(c.kind) && !used.has(c.id),
    );
    const stops = verify(setup).filter(
      (f) => f.severity === 'stop' && (free || f.rule !== 'devices'),
    );
    expect(stops.map((f) => `${f.rule}: ${f.says}`)).toEqual([]);
    const sheet = sheetFor(setup);
    for (const { steps } of sheet.sections)
      for (const { value } of steps) expect(value).not.toMatch(/undefined|NaN/);
    for (const test of Object.values(TESTS))
      for (const s of test.script(setup))
        expect(`${s.does} ${s.sees.join()}`).not.toMatch(/undefined|NaN/);
    // Seen as it should be, nothing is found wrong with it.
    expect(diagnose(setup, watch(setup)).changes).toEqual([]);
  });
});
