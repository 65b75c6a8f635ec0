import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { wrongEntries } from '../sheets';
import { applyPatch, applyShared } from './index';

describe('a patched copy that shares what it can', () => {
  it('says what the plain one says, for every wrong entry of a program', () => {
    const setup = makeSetup();
    const before = structuredClone(setup);
    for (const { patch, says } of wrongEntries(setup))
      expect(applyShared(setup, patch), says).toEqual(applyPatch(setup, patch));
    expect(setup).toEqual(before);
  });
  it('shares everything that is not on the way', () => {
    const setup = makeSetup();
    const next = applyShared(setup, [
      { op: 'replace', path: '/program/outputs/0/reversed', value: true },
    ]);
    expect(next.unit).toBe(setup.unit);
    expect(next.program.lines).toBe(setup.program.lines);
    expect(next.program.outputs[1]).toBe(setup.program.outputs[1]);
  });
  it('refuses what it cannot share', () => {
    expect(() => applyShared({ a: [1] }, [{ op: 'add', path: '/a/0', value: 2 }])).toThrow(
      'add at /a/0',
    );
  });
});
