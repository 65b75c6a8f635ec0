import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import type { Posture } from '../infer';
import {
  READ_IN_BEGUN,
  lastReadingBack,
  pastedAt,
  percentOf,
  readingAt,
  rowsRead,
} from './reading-in';

const setup = makeSetup();
const channels = setup.program.outputs.map((o) => o.channel);
const rows: Posture[] = [{}, { ail: 100 }, { ele: -100 }];
const row = (n: number) => channels.map((c) => c + n);

describe('a number off a monitor', () => {
  it.each([
    ['-96', -96],
    ['−96 %', -96],
    ['+12', 12],
    ['3,5', 3.5],
    ['33.333', 33.3],
    ['', undefined],
    ['  ', undefined],
    ['251', 'wrong'],
    ['12 or so', 'wrong'],
  ])('%j', (text, value) => expect(percentOf(text)).toBe(value));
});

describe('numbers pasted into a row', () => {
  const paste = (text: string, from = channels[0]!) => pastedAt(setup, { rows }, text, from);
  it('one cell is ordinary text', () => {
    expect([paste('12'), paste('')]).toEqual([{ as: 'text' }, { as: 'text' }]);
  });
  it('one line fills the fields from the pasted one on, with any separator', () => {
    const values = Object.fromEntries(channels.map((c) => [c, c + 1]));
    for (const between of ['\t', ';', ' '])
      expect(paste(row(1).join(between))).toEqual({ as: 'values', values });
    const [, second, third] = channels;
    expect(paste('5\t6', second)).toEqual({
      as: 'values',
      values: { [second!]: 5, [third!]: 6 },
    });
  });
  it('several lines are whole rows, in the order asked', () => {
    const pasted = paste(`${row(1).join('\t')}\n${row(2).join('\t')}\n`, channels[2]);
    expect(pasted).toEqual({
      as: 'rows',
      readings: [0, 1].map((i) =>
        readingAt(setup, rows[i]!, Object.fromEntries(channels.map((c) => [c, c + i + 1]))),
      ),
    });
  });
  it.each([
    ['no number', '1\tx', /^line 1 holds something that is no number to ±250$/],
    ['a hole', '1\t\t3', /^line 1 holds/],
    ['too few in one of several', `${row(1).join('\t')}\n1\t2`, /^each line must hold \d+ numbers/],
    ['too many', [...row(1), 7].join('\t'), /^each line must hold/],
    [
      'more rows than are known',
      Array(4).fill(row(1).join('\t')).join('\n'),
      /^only 3 rows are known so far, and 4/,
    ],
  ])('%s is refused, and why', (_, text, reason) => {
    expect(paste(text)).toEqual({ as: 'refused', reason: expect.stringMatching(reason) as string });
  });
});

describe('rows read one after another', () => {
  it('adding a reading or taking one back continues the questions', () => {
    const reading = readingAt(setup, {}, { 1: 5 });
    const one = rowsRead({ ...READ_IN_BEGUN, enough: true }, [reading]);
    expect(one).toEqual({ readings: [reading], enough: false });
    expect(lastReadingBack({ ...one, enough: true })).toEqual(READ_IN_BEGUN);
    expect(lastReadingBack(READ_IN_BEGUN)).toEqual(READ_IN_BEGUN);
  });
});
