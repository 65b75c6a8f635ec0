import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { itemReader, parseJson } from '.';

describe('JSON that a stranger wrote', () => {
  it.each([
    ['[1, {"a": "[[[[{{{{,,,,"}]', true],
    ['"a \\" [[[["', true],
    ['['.repeat(100_000), false],
    ['{"a":'.repeat(70) + '1' + '}'.repeat(70), false],
    [`[${'{},'.repeat(300_000)}{}]`, false],
    ['[1,]', false],
    ['', false],
  ])('reads or refuses it: %#', (text, ok) => {
    expect(parseJson(text).ok).toBe(ok);
  });
});

/** All that a reader hands over, in chunks of so many bytes. */
function read(text: string, size: number, lists: string[]) {
  const seen: unknown[] = [];
  const reader = itemReader(lists, {
    item: (list, value, index) => seen.push([list, index, value]),
    member: (name, value) => seen.push([name, value]),
  });
  const bytes = new TextEncoder().encode(text);
  for (let i = 0; i < bytes.length; i += size) reader.push(bytes.subarray(i, i + size));
  reader.end();
  return seen;
}

describe('a large file, an item at a time', () => {
  it('gives the same as parsing it whole, however it is cut and spaced', () => {
    fc.assert(
      fc.property(
        fc.array(fc.jsonValue(), { maxLength: 6 }),
        fc.array(fc.jsonValue(), { maxLength: 6 }),
        fc.string(),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom(0, 1, '\t'),
        (log, more, id, size, blanks) => {
          const text = JSON.stringify({ id, log, other: { log: more }, more }, null, blanks);
          const clean = JSON.parse(text) as Record<'log' | 'more', unknown[]> & { other: unknown };
          expect(read(text, size, ['log', 'more'])).toEqual([
            ['id', id],
            ...clean.log.map((value, i) => ['log', i, value]),
            ['other', clean.other],
            ...clean.more.map((value, i) => ['more', i, value]),
          ]);
          expect(read(JSON.stringify(clean.log, null, blanks), size, [''])).toEqual(
            clean.log.map((value, i) => ['', i, value]),
          );
        },
      ),
      { seed: 11 },
    );
  });
  it.each([
    ['[1]', '', 'not a JSON object'],
    ['{"log": {}}', '/log', 'must be a list'],
    ['{"log": 7}', '/log', 'must be a list'],
    ['{"log": [1,]}', '/log/1', 'not JSON: Unexpected end of JSON input'],
    ['{"log": [{"a": }]}', '/log/0', 'not JSON'],
    ['{"log": [1]', '/log', 'ends too early'],
    ['{"log": [1]} x', '/', 'something after its end'],
    ['{"log": [' + '['.repeat(90), '/log/0', 'nested more than 64 deep'],
    ['{"log": [' + ' '.repeat(5_000_000), '/log/0', 'too large'],
    ['{7: 1}', '/', 'a member without a name'],
  ])('says where and why: %#', (text, path, reason) => {
    expect(() => read(text, 1000, ['log'])).toThrow(
      expect.objectContaining({
        path: path === '' ? '/' : path,
        reason: expect.stringContaining(reason) as string,
      }) as Error,
    );
  });
});
