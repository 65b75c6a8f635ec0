import { expect } from 'vitest';
import { settingRows } from '@/core/settings';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** An inline gyro with a mode and a gain channel: damping, hold, off; three dials with a side each. */
export const inline: Shape = {
  name: 'inline gyro with mode and gain channels',
  make() {
    const unit = unitLike(
      'dial-gyro',
      {
        modes: ['rate', 'hold', 'off'],
        modeSelect: {
          by: 'bands',
          bands: [
            { fromUs: 800, toUs: 1350, slot: 0 },
            { fromUs: 1350, toUs: 1650, slot: 1 },
            { fromUs: 1650, toUs: 2200, slot: 2 },
          ],
        },
        gainLaw: 'zero-to-full',
        gainLeadMissing: 'full',
        captureGestures: ['mode-flick'],
        levelCapture: { by: 'flick', times: 1, withinS: 2 },
        twitchesAtPowerUp: 1,
        lights: [],
      },
      { slots: ['rate', 'hold', 'off'] },
    );
    for (const axis of ['roll', 'pitch', 'yaw'] as const)
      unit.settings.axes[axis] = {
        gainPct: 50,
        secondGainPct: 50,
        reversed: false,
        fadePct: 100,
        holdAllowed: axis !== 'yaw',
      };
    return planned(
      'Dunlin',
      { airframe: airframe('conventional'), unit, transmitter: transmitterLike('line-sixteen') },
      { wish: 'modes', value: { switches: ['sa'], table: ['off', 'hold', 'rate'] } },
      { wish: 'gain', value: { by: 'knob', control: 'l1' } },
    );
  },
  drives(model) {
    expect([-100, 0, 100].map((sa) => model.fresh().hands({ sa, l1: 0 }).mode)).toEqual([
      'off',
      'hold',
      'rate',
    ]);
    // Turned away and held there: the ailerons stay over.
    model.fresh().hands({ sa: 0, l1: 100 }).world({ rollRate: 40 }, 0.4);
    model.world({ rollRate: 0 }, 0.02);
    expect(Math.abs(model.surface('aileron-left'))).toBeGreaterThan(1);
    const hold = settingRows(model.setup).find((r) => r.id === 'hold roll')!;
    expect(hold.words).toBe('on');
  },
};
