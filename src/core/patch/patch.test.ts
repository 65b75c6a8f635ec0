import jsonPatch from 'fast-json-patch';
import { describe, expect, it } from 'vitest';
import { frozen } from '../../../tests/kit/frozen';
import { makeSetup } from '../../../tests/kit/setups';
import { wrongEntries } from '../sheets';
import { applyPatch, type PatchOperation } from './index';

const DOCUMENT = { a: [1, { b: 2 }, 3], 'c/d': { '~e': 4 }, f: { g: { h: [] } } };

describe('a patched copy that shares what it can', () => {
  it.each<[string, PatchOperation[]]>([
    ['adds at the end', [{ op: 'add', path: '/a/-', value: 4 }]],
    ['adds in between', [{ op: 'add', path: '/a/1', value: 'x' }]],
    ['takes out of a list', [{ op: 'remove', path: '/a/0' }]],
    ['names that need escapes', [{ op: 'replace', path: '/c~1d/~0e', value: 5 }]],
    ['the whole', [{ op: 'replace', path: '', value: { z: 1 } }]],
    ['moves from one part to another', [{ op: 'move', from: '/a/1', path: '/f/g/h/0' }]],
    ['copies', [{ op: 'copy', from: '/f', path: '/a/0' }]],
    [
      'one after another',
      [
        { op: 'test', path: '/a/1/b', value: 2 },
        { op: 'add', path: '/f/new', value: { deep: [] } },
        { op: 'add', path: '/f/new/deep/0', value: 7 },
        { op: 'remove', path: '/a/1/b' },
      ],
    ],
  ])('%s, as the plain way does', (_, patch) => {
    const plain = jsonPatch.applyPatch(structuredClone(DOCUMENT), structuredClone(patch));
    expect(applyPatch<object>(frozen(structuredClone(DOCUMENT)), frozen(patch))).toEqual(
      plain.newDocument,
    );
  });
  it.each<[string, PatchOperation[]]>([
    ['what is not there', [{ op: 'remove', path: '/f/x' }]],
    ['beyond the end of a list', [{ op: 'add', path: '/a/9', value: 1 }]],
    ['through what is no container', [{ op: 'add', path: '/a/0/b', value: 1 }]],
    ['from what is not there', [{ op: 'move', from: '/f/x', path: '/a/0' }]],
    ['where something else stands by now', [{ op: 'test', path: '/a/0', value: 9 }]],
    ['the prototype', [{ op: 'add', path: '/__proto__/x', value: 1 }]],
  ])('refuses %s, and leaves all as it was', (_, patch) => {
    const document = frozen(structuredClone(DOCUMENT));
    expect(() => applyPatch<object>(document, patch)).toThrow();
    expect(document).toEqual(DOCUMENT);
  });
  it('says what the plain way says, for every wrong entry of a program', () => {
    const setup = frozen(makeSetup());
    for (const { patch, says } of wrongEntries(setup))
      expect(applyPatch(setup, patch), says).toEqual(
        jsonPatch.applyPatch(structuredClone(setup), structuredClone(patch) as PatchOperation[])
          .newDocument,
      );
  });
  it('shares everything that is not on the way', () => {
    const setup = makeSetup();
    const next = applyPatch(setup, [
      { op: 'replace', path: '/program/outputs/0/reversed', value: true },
    ]);
    expect(next.unit).toBe(setup.unit);
    expect(next.program.lines).toBe(setup.program.lines);
    expect(next.program.outputs[1]).toBe(setup.program.outputs[1]);
    expect(next.program.outputs[0]).not.toBe(setup.program.outputs[0]);
  });
});
