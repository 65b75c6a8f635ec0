import { describe, expect, it } from 'vitest';
import { rangeAt } from './ranges';

describe('ranges of numbers come from the schema', () => {
  it.each([
    ['/airframe/measures/spanMm', 50, 10_000],
    ['/airframe/surfaces/3/linkage/armMm', 2, 100],
    ['/unit/settings/axes/roll/fadePct', 0, 200],
    ['/unit/settings/recovery/delayMs', 0, 5000],
    ['/unit/traits/modeSelect/bands/0/fromUs', 500, 2500],
    ['/transmitter/controls/0/rest', -100, 100],
    ['/program/logic/0/withinPct', 0, 100],
    ['/intents/program/gain/pct', 0, 100, 'fixed'],
    ['/intents/program/gain/pct', 0, 100, 'sets'],
    ['/intents/program/gain/pct/1', -100, 100, 'values'],
    ['/intents/program/gain/pct/1', 0, 100, 'flap'],
  ])('%s', (path, min, max, as?: string) => {
    expect(rangeAt(path, as)).toEqual({ min, max });
  });
  it('a list of numbers is no number', () => {
    expect(() => rangeAt('/intents/program/gain/pct', 'values')).toThrow(RangeError);
  });
  it.each([
    '',
    '/name',
    '/airframe/surfaces',
    '/airframe/measures/weight',
    '/program/lines/0/effect',
  ])('there is none at %j', (path) => {
    expect(() => rangeAt(path)).toThrow(RangeError);
  });
});
