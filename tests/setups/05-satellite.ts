import { expect } from 'vitest';
import { learnTravel } from '@/core/plan';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A satellite that learns from the sticks: two ailerons of their own, gain by slider, a set each side. */
export const satellite: Shape = {
  name: 'travel-learning satellite, two sets by the side of a slider',
  make() {
    const setup = planned(
      'Kittiwake',
      {
        airframe: airframe('conventional', { ailerons: 'two-outputs' }),
        unit: unitLike('satellite-gyro', {}),
        transmitter: transmitterLike('line-sixteen'),
      },
      { wish: 'gain', value: { by: 'knob', control: 'l1', middleOff: true } },
    );
    setup.transmitter.controls.find((c) => c.id === 'l1')!.rest = 0;
    setup.unit.settings.axes.roll.fadePct = 100;
    setup.unit.settings.axes.pitch.fadePct = 200;
    setup.unit.settings.axes.yaw.fadePct = 80;
    setup.unit.settings.response = { character: 4, stop: 2 };
    setup.unit.settings.speedGain = { fromMps: 22, lessPct: 35 };
    for (const output of setup.unit.settings.outputs) {
      if (!output.stabilized) continue;
      const rudder = output.carries === 'rudder';
      output.sets = {
        below: { gainPct: 70, maxGainPct: 90, holdAllowed: false },
        above: { gainPct: rudder ? 40 : 60, maxGainPct: 100, holdAllowed: !rudder },
      };
    }
    setup.installation.travelCapture = learnTravel(setup);
    return checked(setup);
  },
  drives(model) {
    const at = (l1: number) => model.fresh().hands({ l1 });
    expect([-60, 0, 60].map((l1) => at(l1).mode)).toEqual(['rate', 'off', 'hold']);
    expect(at(0).gain()).toBe(0);
    // Holding: what was turned away stays answered on the ailerons, and not on the rudder.
    at(80).world({ rollRate: 30, yawRate: 30 }, 0.5).world({ rollRate: 0, yawRate: 0 }, 0.02);
    expect(Math.abs(model.surface('aileron-left'))).toBeGreaterThan(2);
    expect(Math.abs(model.surface('rudder'))).toBeLessThan(0.5);
  },
};
