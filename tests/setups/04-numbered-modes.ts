import { expect } from 'vitest';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Numbered modes on a six-channel transmitter whose seventh channel carries a switch and no more. */
export const numberedModes: Shape = {
  name: 'numbered modes on a switch-only channel',
  make() {
    const unit = unitLike('menu-receiver', {
      inputChannels: 7,
      gainLaw: 'fixed',
      arming: 'after-throttle',
      armThrottlePct: 25,
      panic: 'none',
      failsafe: ['preset', 'hold', 'no-pulses'],
      modes: ['off', 'rate', 'level'],
      twitchesAtPowerUp: 2,
      lights: [],
    });
    const transmitter = transmitterLike('switch-value-six', {
      defaultOrder: ['throttle', 'aileron', 'elevator', 'rudder', 'gear', 'flap'],
      switchOnlyLost: 'hold',
    });
    return planned('Eider', {
      airframe: airframe('conventional', {
        flaps: true,
        gear: true,
        ailerons: 'y-lead',
        wheel: 'shared',
      }),
      unit,
      transmitter,
    });
  },
  drives(model) {
    const { modes, gear, flaps } = model.setup.intents.program;
    const [mode] = modes!.switches;
    const channel = model.setup.program.outputs.find((o) => o.carries === 'mode')!.channel;
    expect(model.setup.transmitter.switchOnly).toContain(channel);
    expect([-100, 0, 100].map((v) => model.fresh().hands({ [mode!]: v }).mode)).toEqual([
      'off',
      'rate',
      'level',
    ]);
    // Gear and flaps move with their own switches.
    expect(gear!.control).not.toBe(flaps!.control);
    const up = model.fresh().sent('gear');
    expect(model.hands({ [gear!.control]: 100 }).sent('gear')).not.toBe(up);
    // It corrects only after the throttle has been up.
    model.fresh(false).hands({ [mode!]: 0 });
    model.world({ rollRate: 60 });
    expect(model.frame.correctionPct[0]).toBe(0);
    model.hands({ [model.setup.intents.program.cut!.control]: 100, 'stick-throttle': 0 });
    model.world({ rollRate: 60 });
    expect(model.frame.correctionPct[0]).not.toBe(0);
  },
};
