import { describe, expect, it } from 'vitest';
import { makeSetup, watch } from '../../../tests/kit/setups';
import { applyPatch } from '../patch';
import type { Setup } from '../setup';
import { observedDirections, stamp, staleReasons, worstOf, type Evidence } from './index';

function everything(setup: Setup): Evidence[] {
  return watch(setup).map((o) => ({
    ...o,
    parts: stamp(setup, o),
    version: 1,
    at: '2026-01-01T00:00:00Z',
  }));
}

const corrections = (...axes: string[]) =>
  axes.flatMap((axis) => [`correction-${axis}`, `correction-${axis}-level`]);
const LEVEL = ['pitch', 'roll', 'yaw'].map((axis) => `correction-${axis}-level`);
const ALL = corrections('pitch', 'roll', 'yaw');

/** Which evidence dies when one field changes, by check. */
const STALES: [string, unknown, string[]][] = [
  ['/installation/mounting', 'tail-up', ALL],
  ['/unit/settings/orientation', 'tail-up', ALL],
  ['/installation/revisions/unitMoved', 1, ALL],
  ['/unit/settings/axes/roll/reversed', true, corrections('roll')],
  ['/program/outputs/1/reversed', true, ['stick-pitch']],
  ['/program/outputs/1/subtrimPct', 5, []],
  ['/airframe/surfaces/2/linkage/sense', 'opposite', [...corrections('pitch'), 'stick-pitch']],
  ['/installation/revisions/servoReplaced', 1, [...ALL, 'stick-pitch', 'stick-roll', 'stick-yaw']],
  // What position 1 of the switch stands for says nothing about direction in the others' first look.
  ['/unit/settings/slots/0', 'trainer', LEVEL],
  ['/unit/settings/axes/roll/gainPct', 40, []],
  ['/name', 'Another', []],
  ['/airframe/measures/massG', 900, []],
];

describe('evidence', () => {
  it('is proven while nothing it depends on changes', () => {
    const setup = makeSetup();
    expect(observedDirections(setup, everything(setup)).map((o) => o.status)).toEqual(
      Array(12).fill('proven'),
    );
  });
  it.each(STALES)('%s to %j stales exactly what depends on it', (path, value, dead) => {
    const setup = makeSetup();
    const evidence = everything(setup);
    const changed = applyPatch(setup, [{ op: 'replace', path, value }]);
    const stale = evidence.filter((e) => staleReasons(changed, e).length > 0).map((e) => e.check);
    expect([...new Set(stale)].sort()).toEqual(dead);
  });
  it('gives the reason in words', () => {
    const setup = makeSetup();
    const [, , , , , , pitch] = everything(setup);
    const changed = applyPatch(setup, [
      { op: 'replace', path: '/installation/mounting', value: 'tail-up' },
    ]);
    expect(staleReasons(changed, pitch!)).toEqual(['how the unit sits in the model']);
  });
  it('is withdrawn by "unseen"', () => {
    const setup = makeSetup();
    const evidence = everything(setup);
    const withdrawn = [...evidence, { ...evidence[0]!, seen: 'unseen' as const }];
    expect(observedDirections(setup, withdrawn)[0]!.status).toBe('todo');
  });
  it('marks a surface going the wrong way', () => {
    const setup = makeSetup();
    const [first, ...rest] = everything(setup);
    const statuses = observedDirections(setup, [{ ...first!, seen: 'up' }, ...rest]).map(
      (o) => o.status,
    );
    expect(worstOf(statuses)).toBe('stop');
  });
});
