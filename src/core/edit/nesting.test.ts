import { expect, it } from 'vitest';
import type { Line } from '../setup';
import { nestingOf } from './nesting';

it.each<[string, Line['effect'][], number[]]>([
  ['nothing', [], []],
  ['lines that only add', ['adds', 'adds'], [0, 0]],
  ['one that takes over', ['adds', 'adds', 'takes-over'], [1, 1, 0]],
  ['what adds to the one that takes over', ['adds', 'takes-over', 'adds'], [1, 0, 0]],
  ['two that take over', ['adds', 'takes-over', 'scales', 'takes-over'], [2, 1, 1, 0]],
  ['a first line that takes over', ['takes-over', 'adds'], [0, 0]],
])('nests %s', (_, effects, expected) => {
  expect(nestingOf(effects.map((effect) => ({ effect })))).toEqual(expected);
});
