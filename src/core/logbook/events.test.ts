import { describe, expect, it } from 'vitest';
import { makeSetup, watch } from '../../../tests/kit/setups';
import { applyPatch } from '../patch';
import { parseSetup } from '../setup';
import {
  EVENTS,
  TESTS,
  eventPatch,
  stamp,
  staleReasons,
  testSubject,
  type Evidence,
} from './index';

const setup = makeSetup();
const evidence: Evidence[] = [
  ...watch(setup),
  ...Object.values(TESTS)
    .flatMap(({ script }) => script(setup))
    .map((s) => ({ ...testSubject(s), seen: 'pass' as const })),
].map((seen) => ({
  ...seen,
  parts: stamp(setup, seen),
  version: 1,
  at: '2026-01-01T00:00:00.000Z',
}));

/** Names of what an event stales: tests by their name, directions by their kind. */
function staledBy(id: string): string[] {
  const after = applyPatch(setup, eventPatch(setup, id));
  const stale = evidence.filter((e) => staleReasons(after, e).length > 0);
  return [
    ...new Set(stale.map((e) => e.check.replace('test:', '').replace(/-(roll|pitch|yaw).*/, ''))),
  ].sort();
}

describe('what happens to a model', () => {
  it.each<[string, string[]]>([
    [
      'servo',
      ['correction', 'failsafe', 'lock', 'plain-model', 'preflight', 'record', 'stick', 'tune'],
    ],
    [
      'linkage',
      ['correction', 'failsafe', 'lock', 'plain-model', 'preflight', 'record', 'stick', 'tune'],
    ],
    [
      'moved',
      ['correction', 'failsafe', 'level', 'lock', 'mounting', 'preflight', 'record', 'tune'],
    ],
    [
      'crash',
      [
        'calibration',
        'correction',
        'failsafe',
        'level',
        'lock',
        'mounting',
        'plain-model',
        'preflight',
        'record',
        'safe',
        'stick',
        'tune',
      ],
    ],
    [
      'unit-update',
      [
        'calibration',
        'capture',
        'correction',
        'failsafe',
        'identify',
        'level',
        'lock',
        'mounting',
        'preflight',
        'record',
        'tune',
        'unit',
      ],
    ],
    [
      'reset',
      [
        'calibration',
        'capture',
        'correction',
        'failsafe',
        'level',
        'lock',
        'mounting',
        'preflight',
        'record',
        'stick',
        'tune',
        'unit',
      ],
    ],
    [
      'unit-replaced',
      [
        'calibration',
        'capture',
        'correction',
        'failsafe',
        'identify',
        'level',
        'lock',
        'mounting',
        'preflight',
        'record',
        'stick',
        'tune',
        'unit',
      ],
    ],
    ['transmitter-update', ['capture', 'entry', 'failsafe', 'identify', 'preflight', 'record']],
    ['module', ['capture', 'failsafe', 'identify', 'preflight', 'record']],
    ['trims', ['capture', 'preflight', 'record']],
  ])('%s stales just %j', (id, steps) => expect(staledBy(id)).toEqual(steps));
  it('is all in the table above', () => expect(EVENTS).toHaveLength(10));
  it.each(EVENTS)(
    '$title: counted on, over and over, in a Setup that stays valid',
    ({ id, bumps }) => {
      let now = setup;
      for (let n = 1; n <= 3; n++) {
        now = applyPatch(now, eventPatch(now, id));
        expect(parseSetup(now).ok).toBe(true);
        for (const counter of bumps) expect(now.installation.revisions[counter]).toBe(n);
      }
    },
  );
  it('there is no other', () => expect(() => eventPatch(setup, 'picnic')).toThrow(RangeError));
});
