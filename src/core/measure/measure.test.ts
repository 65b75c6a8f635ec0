import { describe, expect, it } from 'vitest';
import { parseMeasure, restated, shownAs } from './index';

describe('measures as people write them', () => {
  it.each([
    ['5/8"', 'mm', 15.875],
    ['12 1/2 in', 'mm', 317.5],
    ['12 1/2', 'mm', 317.5],
    ['3\' 4"', 'mm', 1016],
    ['3 ft 4 in', 'mm', 1016],
    ['2.5 cm', 'mm', 25],
    ['30', 'mm', 762],
    ['1,5 in', 'mm', 38.1],
    ['-1/2 in', 'mm', -12.7],
    ['22 oz', 'g', 623.69],
    ['1 lb 6 oz', 'g', 623.69],
    ['1.2 kg', 'g', 1200],
    ['30 mph', 'm/s', 13.411],
    ['44 ft/s', 'm/s', 13.411],
    ['36 km/h', 'm/s', 10],
    ['200', 'm', 60.96],
    ['60 m', 'm', 60],
    ['200 ft', 'm', 60.96],
    ['12', '%', 12],
  ] as const)('%s is %s, imperial', (text, unit, value) =>
    expect(parseMeasure(text, unit, 'imperial')).toBeCloseTo(value, 2),
  );
  it('bare numbers are ours in metric; a unit that is written counts in both', () => {
    expect(parseMeasure('12', 'mm', 'metric')).toBe(12);
    expect(parseMeasure('1/2"', 'mm', 'metric')).toBe(12.7);
    expect(parseMeasure('60', 'm', 'metric')).toBe(60);
  });
  it.each(['', 'x', '1/0 in', '12 oz', '1 2 3', '5 furlong', '3 in 4', 'in', '1e5', '--3'])(
    '%j is no length',
    (text) => expect(parseMeasure(text, 'mm', 'imperial')).toBeUndefined(),
  );
  it('what is typed in one system and shown in it comes out as typed', () => {
    for (const [unit, typed] of [
      ['mm', 3.25],
      ['g', 41.5],
      ['m', 120],
      ['m/s', 31.3],
    ] as const) {
      const shown = shownAs(unit, 'imperial')!;
      const kept = parseMeasure(String(typed), unit, 'imperial')!;
      expect(Number((kept * shown.per).toFixed(shown.digits))).toBe(typed);
    }
  });
});

it('sentences are restated, figures without a unit of ours are not', () => {
  const text = 'elevator: 12 mm (18°) up, 60 m away at 8.5 m/s, 1500 µs, 20 %, 9.8 m/s², −3 mm';
  expect(restated(text, 'metric')).toBe(text);
  expect(restated(text, 'imperial')).toBe(
    'elevator: 0.47 in (18°) up, 197 ft away at 19 mph, 1500 µs, 20 %, 9.8 m/s², −0.12 in',
  );
});
