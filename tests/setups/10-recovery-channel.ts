import { expect } from 'vitest';
import { settingRows } from '@/core/settings';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Panic on a channel of its own, at once, with small limits; pitch with power; the unit's own failsafe. */
export const recoveryChannel: Shape = {
  name: 'recovery on a channel, pitch with power',
  make() {
    const setup = planned(
      'Fulmar',
      {
        airframe: airframe('t-tail'),
        unit: unitLike('menu-receiver', {}),
        transmitter: transmitterLike('line-sixteen'),
      },
      { wish: 'panic', value: { way: 'channel', control: 'sm', holdS: 0, gainPct: 60 } },
      { wish: 'failsafe', value: { school: 'circle', pitchDeg: 2, rollDeg: 14 } },
    );
    const { settings } = setup.unit;
    settings.recovery = {
      mode: 'level',
      rollLimitDeg: 18,
      pitchLimitDeg: 12,
      delayMs: 0,
      thresholdUs: 1720,
    };
    settings.pitchWithThrottle = {
      aboveThrottlePct: 55,
      fullThrottlePitchDeg: 12,
      belowThrottlePct: 28,
      idlePitchDeg: -3,
    };
    return checked(setup);
  },
  drives(model) {
    expect(model.fresh().hands({ sm: 100 }, 0.02).mode).toBe('level');
    expect(model.frame.recovering).toBe(true);
    expect(model.fresh().world({ link: false }).mode).toBe('level');
    const printed = settingRows(model.setup).map((r) => `${r.about} ${r.name} ${r.words}`);
    expect(printed).toEqual(
      expect.arrayContaining([
        'Recovery above 1720 µs',
        'Pitch with power nose rises above throttle 55 %',
        'Failsafe of the unit bank to the right 14°',
      ]),
    );
  },
  cautions: { M39: 'no delay, on purpose: the button is found by feel' },
};
