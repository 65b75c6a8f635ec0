import { expect } from 'vitest';
import { identifyScript } from '@/core/preparation';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A receiver with a past: reset first; the knob full left is off, full right the most of its gains. */
export const secondHand: Shape = {
  name: 'second-hand receiver, reset first',
  make() {
    const setup = planned('Plover', {
      airframe: airframe('conventional'),
      unit: unitLike('menu-receiver', {}),
      transmitter: transmitterLike('line-eight'),
    });
    setup.installation.secondHand = true;
    setup.installation.revisions.unitReset = 1;
    const { axes } = setup.unit.settings;
    axes.roll.gainPct = 46;
    axes.pitch.gainPct = 62;
    axes.yaw.gainPct = 54;
    return checked(setup);
  },
  drives(model) {
    const wish = model.setup.intents.program.gain!;
    const knob = wish.by === 'knob' ? wish.control : '';
    const [mode] = model.setup.intents.program.modes!.switches;
    expect(model.hands({ [knob]: -100, [mode!]: 100 }).gain('pitch')).toBe(0);
    expect(Math.abs(model.hands({ [knob]: 100 }).gain('pitch') - 62)).toBeLessThanOrEqual(2);
    expect(identifyScript(model.setup).map((s) => s.item)).toContain('reset');
  },
};
