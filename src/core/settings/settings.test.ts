import { describe, expect, it } from 'vitest';
import { bySheetAlone } from '../../../tests/kit/by-sheet';
import { replay } from '../../../tests/kit/replay';
import { randomOf } from '../../../tests/kit/random-program';
import { AIRFRAMES_TO_TRY, together } from '../../../tests/kit/together';
import { ORDER_FAULTS } from '../../../tests/kit/order-faults';
import { share } from '../../../tests/kit/share';
import { choose } from '../plan';
import { parseSetup, rangeAt } from '../setup';
import { verify } from '../verify';
import { applyPatch } from '../patch';
import { settingGroups, settingRows, type Row } from './index';

/** Another value that the setting may have. */
function another(row: Row, random: () => number): unknown {
  if (row.field.kind === 'flag') return !row.value;
  if (row.field.kind === 'choice') {
    const others = row.field.options.filter(([v]) => v !== row.value);
    return others[Math.floor(random() * others.length)]?.[0] ?? row.value;
  }
  const { min, max } = rangeAt(row.path);
  return Math.round(min + (max - min) * random());
}

const ALL = together(AIRFRAMES_TO_TRY);

describe('settings of a unit', () => {
  it.each(share(ALL, 36))('$name: the sheet is complete', ({ setup }) => {
    expect(replay(bySheetAlone(setup), 3, 120)).toEqual(replay(setup, 3, 120));
  });

  it.each(share(ALL, 80))('$name: whatever a setting is set to, the sheet says it', ({ setup }) => {
    const random = randomOf(11);
    for (const row of settingRows(setup)) {
      const changed = structuredClone(setup);
      row.write(changed.unit.settings, another(row, random));
      const read = parseSetup(changed);
      if (!read.ok) continue;
      const now = settingRows(changed).find((r) => r.id === row.id);
      if (now && JSON.stringify(now.value) !== JSON.stringify(row.value))
        expect(`${row.id} ${now.words}`).not.toBe(`${row.id} ${row.words}`);
      expect(replay(bySheetAlone(changed), 5, 60), row.id).toEqual(replay(changed, 5, 60));
    }
  });

  it('what choices and repairs change can be entered', () => {
    let repairs = 0;
    for (const { setup } of share(ALL, 90)) {
      for (const school of ['motor-off', 'glide', 'circle', 'home'] as const) {
        const next = choose(setup, {
          wish: 'failsafe',
          value: { school, pitchDeg: 4, rollDeg: 11 },
        });
        if (next.ok)
          expect(replay(bySheetAlone(next.setup), 4, 60)).toEqual(replay(next.setup, 4, 60));
      }
    }
    for (const [rule, words, make, spoil] of share(ORDER_FAULTS, 6)) {
      const setup = structuredClone(make());
      spoil(setup);
      if (rule === 'proof') continue;
      for (const { remedies } of verify(setup))
        for (const { patch, label } of remedies) {
          const mended = applyPatch(setup, patch);
          repairs += 1;
          expect(replay(bySheetAlone(mended), 4, 40), `${words}: ${label}`).toEqual(
            replay(mended, 4, 40),
          );
        }
    }
    expect(repairs).toBeGreaterThan(3);
  });

  it('each stands once, under its path, in words', () => {
    for (const { setup } of ALL) {
      const rows = settingRows(setup);
      expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
      expect(new Set(settingGroups(setup).map((g) => g.id)).size).toBe(settingGroups(setup).length);
      for (const row of rows) {
        expect(row.words).not.toMatch(/undefined|\[object|NaN/);
        if (row.field.kind === 'number') expect(() => rangeAt(row.path)).not.toThrow();
      }
    }
  });
});
