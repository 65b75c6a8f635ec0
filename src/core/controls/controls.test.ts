import { describe, expect, it } from 'vitest';
import { wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { TRANSMITTERS } from '../catalogue';
import type { ProgramWishes, Setup } from '../setup';
import { padsOf, tagsOf, tagWords } from './index';

const tag = (setup: Setup, id: string) => tagWords(tagsOf(setup).find((t) => t.control.id === id)!);

describe('the tag of a control', () => {
  it.each<[string, Partial<ProgramWishes>, string, string]>([
    ['mode', {}, 'sa', 'Switch A, mode: far off, middle rate damping, near self-levelling'],
    ['cut', {}, 'sg', 'Switch G, throttle cut: far motor held off, near motor free'],
    ['knob', {}, 'k1', 'Knob 1, gain: left gain 0 %, right gain 100 %'],
    ['nothing', {}, 'sf', 'Switch F: not used'],
    [
      'fixed values',
      { gain: { by: 'values', control: 'sb', pct: [0, 35, 55] } },
      'sb',
      'Switch B, gain: far gain 0 %, middle gain 35 %, near gain 55 %',
    ],
    [
      'panic, after its wait',
      { panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } },
      'sm',
      'Momentary M, panic: held self-levelling',
    ],
    [
      'rates of their own',
      {
        rates: {
          by: 'switch',
          control: 'sh',
          at: [
            { pct: 50, expoPct: 30 },
            { pct: 100, expoPct: 20 },
          ],
        },
      },
      'sh',
      'Switch H, rates: far rates 50 %, near rates 100 %',
    ],
  ])('of %s', (_, wishes, id, words) => {
    expect(tag(wished(wishes), id)).toBe(words);
  });
  it('follows the chain: a mode that the unit holds otherwise is said as it is', () => {
    const setup = makeSetup();
    setup.unit.settings.slots = ['off', 'hold', 'level'];
    expect(tag(setup, 'sa')).toContain('middle attitude hold');
  });
});

describe('the sticks under the thumbs', () => {
  it.each([
    [1, 'stick-rudder stick-elevator', 'stick-aileron stick-throttle'],
    [2, 'stick-rudder stick-throttle', 'stick-aileron stick-elevator'],
    [3, 'stick-aileron stick-elevator', 'stick-rudder stick-throttle'],
    [4, 'stick-aileron stick-throttle', 'stick-rudder stick-elevator'],
  ] as const)('in mode %i', (stickMode, left, right) => {
    const pads = padsOf({ ...TRANSMITTERS['line-sixteen']!, stickMode });
    expect(pads.map((p) => `${p.across!.id} ${p.along!.id}`)).toEqual([left, right]);
  });
  it('have every stick of every transmitter once', () => {
    for (const transmitter of Object.values(TRANSMITTERS)) {
      const ids = padsOf(transmitter).flatMap((p) => [p.across?.id, p.along?.id]);
      const sticks = transmitter.controls.filter((c) => c.kind === 'stick').map((c) => c.id);
      expect(ids.filter(Boolean).toSorted()).toEqual(sticks.toSorted());
    }
  });
});
