import { expect } from 'vitest';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Panic by mixes from a button onto a mode channel of three positions. */
export const panicMix: Shape = {
  name: 'panic by a mix for each position',
  make() {
    const setup = planned(
      'Curlew',
      {
        airframe: airframe('conventional'),
        unit: unitLike('menu-receiver', { panic: 'mode-band' }),
        transmitter: transmitterLike('function-eight'),
      },
      { wish: 'panic', value: { way: 'offsets', control: 'sm', holdS: 0, gainPct: 60 } },
    );
    setup.unit.settings.angleLimitsDeg.roll = 35;
    return checked(setup);
  },
  drives(model) {
    const [mode] = model.setup.intents.program.modes!.switches;
    for (const v of [-100, 0, 100]) {
      const before = model.fresh().hands({ [mode!]: v }).mode;
      expect(model.hands({ sm: 100 }).mode).toBe('level');
      expect(model.gain()).toBe(60);
      expect(model.hands({ sm: -100 }).mode).toBe(before);
    }
  },
  cautions: { M39: 'acts at once: a button that a thumb must find is no brush' },
};
