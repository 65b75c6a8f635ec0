import Ajv2020 from 'ajv/dist/2020';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyPatch } from '@/core/patch';
import { readSetup } from '@/core/plan';
import { parseSetup, pointer, setupJsonSchema, type Setup } from '@/core/setup';
import { makeSetup } from '../kit/setups';

/** The published schema, tried with a general JSON Schema 2020-12 validator. */
describe('JSON Schema', () => {
  const validate = new Ajv2020({ strict: false }).compile(setupJsonSchema());
  it('accepts what the app writes', () => {
    expect(validate(makeSetup())).toBe(true);
    expect(validate(makeSetup('v-tail'))).toBe(true);
  });
  it('refuses what the app refuses by shape', () => {
    expect(validate({ ...makeSetup(), extra: 1 })).toBe(false);
    expect(validate({ ...makeSetup(), version: 'one' })).toBe(false);
  });
  it('is the one in the documentation', () => {
    expect(JSON.parse(readFileSync('docs/setup.schema.json', 'utf8'))).toEqual(setupJsonSchema());
  });
});

describe('reading', () => {
  it('brings back what was written, to the byte', () => {
    const first = readSetup(JSON.stringify(makeSetup()));
    if (!first.ok) throw new Error('the clean Setup was refused');
    expect(first.value).toEqual({ setup: makeSetup(), notes: [] });
    const text = JSON.stringify(first.value.setup);
    const second = readSetup(text);
    expect(second.ok && JSON.stringify(second.value.setup) === text).toBe(true);
  });

  const spoil = (path: string, value: unknown): Setup =>
    applyPatch(makeSetup(), [{ op: 'add', path, value }]);
  it.each<[string, unknown, string, RegExp]>([
    ['not an object', [], '', /expected an object/],
    ['another format', { ...makeSetup(), format: 'x' }, '/format', /not a Setup/],
    ['no version', { ...makeSetup(), version: 0 }, '/version', /whole number/],
    ['a newer version', { ...makeSetup(), version: 99 }, '/version', /newer Tolvan/],
    ['an unknown field', spoil('/airframe/wings', 2), '/airframe/wings', /unknown field/],
    [
      'a number out of range',
      spoil('/program/outputs/0/subtrimPct', 80),
      '/program/outputs/0/subtrimPct',
      /at most 50/,
    ],
    [
      'negative mass',
      spoil('/airframe/measures/massG', -5),
      '/airframe/measures/massG',
      /at least 5/,
    ],
    [
      'a dangling servo',
      spoil('/airframe/surfaces/0/servo', 'ghost'),
      '/airframe/surfaces/0/servo',
      /no servo "ghost"/,
    ],
    [
      'a dangling control',
      spoil('/program/inputs/0/control', 'zz'),
      '/program/inputs/0/control',
      /no control "zz"/,
    ],
    [
      'two on one output',
      spoil('/installation/plugs/1/port', '1'),
      '/installation/plugs/1/port',
      /already used/,
    ],
    [
      'two without a Y-lead',
      spoil('/installation/plugs/0/lead', 'plain'),
      '/installation/plugs/0/drives',
      /need a Y-lead/,
    ],
    [
      'a mode it lacks',
      spoil('/unit/settings/slots/0', 'home'),
      '/unit/settings/slots/0',
      /no home mode/,
    ],
    ['a wrong word', spoil('/airframe/kind', 'kite'), '/airframe/kind', /must be one of/],
    [
      'a switch position too many',
      spoil('/program/lines/0/when', { kind: 'switch', control: 'sg', position: 2 }),
      '/program/lines/0/when/position',
      /only two positions/,
    ],
    ['a missing part', { ...makeSetup(), unit: undefined }, '/unit', /missing/],
  ])('says where and why: %s', (_, data, path, reason) => {
    const result = parseSetup(data);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(result.problems).toContainEqual({ path, reason: expect.stringMatching(reason) });
  });

  it('spells out a circle', () => {
    const setup = makeSetup();
    const logic = (id: string, needs: string) =>
      ({ id, label: id, op: 'when', when: { kind: 'logic', id: needs } }) as const;
    setup.program.logic = [logic('a', 'b'), logic('b', 'c'), logic('c', 'a')];
    const result = parseSetup(setup);
    expect(!result.ok && result.problems[0]!.reason).toBe(
      'forms a loop: logic a → logic b → logic c → logic a',
    );
  });

  it('refuses text that is not JSON, and text that is too long', () => {
    expect(readSetup('{').ok).toBe(false);
    const long = readSetup('x'.repeat(10_000_000));
    expect(!long.ok && long.problems[0]!.reason).toMatch(/too large/);
  });

  it('never throws on anything', () => {
    fc.assert(
      fc.property(fc.anything(), (data) => {
        expect(parseSetup(data).ok).toBe(false);
      }),
    );
    const paths = [
      '/unit',
      '/program/lines',
      '/airframe/servos/0',
      '/installation/plugs',
      '/transmitter/controls',
    ];
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue(), (path, value) => {
        expect(() =>
          parseSetup(applyPatch(makeSetup(), [{ op: 'replace', path, value }])),
        ).not.toThrow();
      }),
    );
  });
});

/** The examples of RFC 6901 §5 and of RFC 6902, appendix A. */
describe('pointers and patches', () => {
  const document = { foo: ['bar', 'baz'], 'a/b': 1, 'c%d': 2, 'm~n': 8 };
  it.each([
    ['/foo/0', { ...document, foo: [0, 'baz'] }],
    ['/a~1b', { ...document, 'a/b': 0 }],
    ['/c%d', { ...document, 'c%d': 0 }],
    ['/m~0n', { ...document, 'm~n': 0 }],
  ])('%s', (path, after) =>
    expect(applyPatch<object>(document, [{ op: 'replace', path, value: 0 }])).toEqual(after),
  );
  it('escapes', () => expect(pointer('a/b', 'm~n', 0)).toBe('/a~1b/m~0n/0'));
  it.each([
    [{ foo: 'bar' }, [{ op: 'add', path: '/baz', value: 'qux' }], { baz: 'qux', foo: 'bar' }],
    [
      { foo: ['bar', 'baz'] },
      [{ op: 'add', path: '/foo/1', value: 'qux' }],
      { foo: ['bar', 'qux', 'baz'] },
    ],
    [{ baz: 'qux', foo: 'bar' }, [{ op: 'remove', path: '/baz' }], { foo: 'bar' }],
    [
      { baz: 'qux', foo: 'bar' },
      [{ op: 'replace', path: '/baz', value: 'boo' }],
      { baz: 'boo', foo: 'bar' },
    ],
  ] as const)('%j', (before, patch, after) => {
    expect(applyPatch(before as object, patch)).toEqual(after);
  });
});
