import { expect } from 'vitest';
import { levelCaptureOf } from '@/core/capture';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A self-mixing receiver that takes the size of the gain, in a V-tail; a channel that starts captures. */
export const captureChannel: Shape = {
  name: 'magnitude gain, capture channel, V-tail never mixed in the transmitter',
  make() {
    const unit = unitLike(
      'fixed-order-receiver',
      {
        modes: ['level', 'rate', 'off'],
        captureGestures: ['channel'],
        levelCapture: { by: 'channel', times: 3, withinS: 3 },
        arming: 'always',
        lights: [],
      },
      { slots: ['level', 'rate', 'off'] },
    );
    const setup = planned(
      'Phalarope',
      { airframe: airframe('v-tail'), unit, transmitter: transmitterLike('line-sixteen') },
      { wish: 'modes', value: { switches: ['sa'], table: ['off', 'rate', 'level'] } },
      { wish: 'capture', value: { control: 'sm' } },
    );
    return checked(setup);
  },
  drives(model) {
    const wish = model.setup.intents.program.gain!;
    const knob = wish.by === 'knob' ? wish.control : '';
    expect(
      [-100, 0, 100].map((k) =>
        model
          .fresh()
          .hands({ [knob]: k })
          .sent('gain'),
      ),
    ).toEqual([0, 50, 100]);
    expect([-100, 0, 100].map((sa) => model.fresh().hands({ sa }).mode)).toEqual([
      'off',
      'rate',
      'level',
    ]);
    expect(model.fresh().sent('capture')).toBe(0);
    expect(model.hands({ sm: 100 }).sent('capture')).toBe(100);
    expect(levelCaptureOf(model.setup).words).toContain('3 times within 3 s');
    // The receiver mixes: every stick goes to one channel.
    for (const o of model.setup.program.outputs)
      expect(
        model.setup.program.lines.filter((l) => l.channel === o.channel && l.purpose === 'stick')
          .length,
      ).toBeLessThan(2);
  },
};
