import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../../tests/kit/setups';
import { applyPatch } from '../../patch';
import { parseSetup } from '../index';

const line = {
  id: 'n',
  channel: 9,
  follows: { kind: 'fixed' },
  sharePct: 1,
  shiftPct: 0,
  effect: 'adds',
};
const entry = (op: string, more: object) => ({ id: 'n', label: 'n', op, ...more });
const gone = { kind: 'switch', control: 'zz', position: 0 };

/** Every kind of name that must exist, be unique or fit: where the complaint points, and its words. */
const INVALID: [string, string, unknown, string, RegExp][] = [
  [
    'twice the same surface',
    '/airframe/surfaces/1/id',
    'aileron-left',
    '/airframe/surfaces/1/id',
    /already used by entry 0/,
  ],
  [
    'a motor named like a servo',
    '/airframe/motors/0/id',
    'rudder',
    '/airframe/motors/0/id',
    /also a servo/,
  ],
  [
    'a motor with no travel',
    '/airframe/motors/0/fullUs',
    988,
    '/airframe/motors/0/fullUs',
    /must differ/,
  ],
  [
    'an output on no port',
    '/unit/settings/outputs/0/port',
    'p99',
    '/unit/settings/outputs/0/port',
    /no port "p99"/,
  ],
  [
    'a channel beyond the unit',
    '/unit/settings/inputs/0/channel',
    13,
    '/unit/settings/inputs/0/channel',
    /receives 12 channels only/,
  ],
  [
    'bands upside down',
    '/unit/traits/modeSelect/bands/0/toUs',
    700,
    '/unit/traits/modeSelect/bands/0/toUs',
    /must be above fromUs/,
  ],
  [
    'bands that overlap',
    '/unit/traits/modeSelect/bands/1/fromUs',
    1200,
    '/unit/traits/modeSelect/bands/1/fromUs',
    /overlaps band 0/,
  ],
  [
    'a band for no slot',
    '/unit/traits/modeSelect/bands/2/slot',
    7,
    '/unit/traits/modeSelect/bands/2/slot',
    /no mode slot 7/,
  ],
  [
    'a link that is not there',
    '/transmitter/link',
    'moon',
    '/transmitter/link',
    /no link variant "moon"/,
  ],
  [
    'more channels than sent',
    '/program/outputs/0/channel',
    17,
    '/program/outputs/0/channel',
    /16 channels only/,
  ],
  [
    'a line from nowhere',
    '/program/lines/-',
    { ...line, follows: { kind: 'input', id: 'zz' } },
    '/program/lines/7/follows/id',
    /no input "zz"/,
  ],
  [
    'a line from no variable',
    '/program/lines/-',
    { ...line, follows: { kind: 'variable', id: 'zz' } },
    '/program/lines/7/follows/id',
    /no variable "zz"/,
  ],
  [
    'a shape that is not there',
    '/program/lines/-',
    { ...line, shape: 'zz' },
    '/program/lines/7/shape',
    /no shape "zz"/,
  ],
  [
    'a condition on no control',
    '/program/lines/-',
    { ...line, when: gone },
    '/program/lines/7/when/control',
    /no control "zz"/,
  ],
  [
    'a condition on a knob',
    '/program/lines/-',
    { ...line, when: { ...gone, control: 'k1' } },
    '/program/lines/7/when/control',
    /is a knob, not a switch/,
  ],
  [
    'a condition deep inside',
    '/program/lines/-',
    { ...line, when: { kind: 'not', of: { kind: 'any', of: [gone] } } },
    '/program/lines/7/when/of/of/0/control',
    /no control/,
  ],
  [
    'logic on no logic',
    '/program/logic/-',
    entry('edge', { of: { kind: 'logic', id: 'zz' } }),
    '/program/logic/0/of/id',
    /no logic "zz"/,
  ],
  [
    'a latch reset by nothing',
    '/program/logic/-',
    entry('latch', { set: { ...gone, control: 'sa' }, reset: gone }),
    '/program/logic/0/reset/control',
    /no control/,
  ],
  [
    'a shape out of order',
    '/program/shapes/-',
    {
      id: 'c',
      label: 'c',
      points: [
        { inPct: 0, outPct: 0 },
        { inPct: -5, outPct: 1 },
      ],
    },
    '/program/shapes/0/points/1/inPct',
    /must rise/,
  ],
  [
    'a rate that hides the next',
    '/program/inputs/0/rates',
    [
      { sharePct: 50, expoPct: 0 },
      { sharePct: 100, expoPct: 0 },
    ],
    '/program/inputs/0/rates/0',
    /put it last/,
  ],
  [
    'a last rate with a condition',
    '/program/inputs/0/rates',
    [{ when: { ...gone, control: 'sa' }, sharePct: 50, expoPct: 0 }],
    '/program/inputs/0/rates/0',
    /must have no condition/,
  ],
  [
    'a channel that reads itself',
    '/program/lines/-',
    { ...line, follows: { kind: 'channel', channel: 9 } },
    '/program/lines/7',
    /channel 9 → channel 9/,
  ],
  [
    'a call-out for nothing',
    '/program/callouts/-',
    { id: 'c', when: gone, say: 'Level' },
    '/program/callouts/0/when/control',
    /no control/,
  ],
  [
    'a servo plugged twice',
    '/installation/plugs/1/drives',
    ['aileron-left'],
    '/installation/plugs/1/drives/0',
    /already plugged in/,
  ],
  [
    'a plug for nobody',
    '/installation/plugs/1/drives',
    ['ghost'],
    '/installation/plugs/1/drives/0',
    /no servo or motor "ghost"/,
  ],
];

describe('references', () => {
  it.each(INVALID)('%s', (_, path, value, where, reason) => {
    const spoiled = applyPatch(makeSetup(), [
      { op: path.endsWith('-') ? 'add' : 'replace', path, value },
    ]);
    const result = parseSetup(spoiled);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(result.problems).toContainEqual({
        path: where,
        reason: expect.stringMatching(reason),
      });
  });
  it('finds every problem at once', () => {
    const setup = makeSetup();
    setup.transmitter.link = 'moon';
    setup.airframe.surfaces[0]!.servo = 'ghost';
    const result = parseSetup(setup);
    expect(!result.ok && result.problems.length).toBe(2);
  });
});
