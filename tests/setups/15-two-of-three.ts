import { expect } from 'vitest';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** All six channels taken; the mode on a seventh that a two-position switch works: modes 1 and 3. */
export const twoOfThree: Shape = {
  name: 'modes 1 and 3 from a two-position switch, gains by mode',
  make() {
    const unit = unitLike('menu-receiver', {
      inputChannels: 7,
      gainLaw: 'fixed',
      gainKept: 'axis-and-mode',
      panic: 'none',
      modes: ['off', 'rate', 'level'],
      lights: [],
    });
    const transmitter = transmitterLike('switch-value-six', { switchOnlyPositions: 2 });
    transmitter.controls = transmitter.controls.filter((c) => c.kind !== 'switch-3');
    const setup = planned('Scoter', {
      airframe: airframe('conventional', { flaps: true, gear: true }),
      unit,
      transmitter,
    });
    const { settings } = setup.unit;
    settings.sensitivity = 4;
    settings.angleLimitsDeg = { roll: 70, pitchUp: 60, pitchDown: 60 };
    for (const axis of ['roll', 'pitch', 'yaw'] as const)
      settings.axes[axis].gainByMode = { level: 20 };
    return checked(setup);
  },
  drives(model) {
    const { modes } = model.setup.intents.program;
    // Six channels are full, and the seventh carries the mode; flaps lie in the wing at rest.
    expect(model.setup.program.outputs.map((o) => o.carries)).toEqual([
      'aileron',
      'elevator',
      'throttle',
      'rudder',
      'flap',
      'gear',
      'mode',
    ]);
    expect(model.fresh().surface('flap-left')).toBeCloseTo(0, 1);
    expect(modes!.table).toEqual(['off', 'level']);
    const [mode] = modes!.switches;
    expect(model.fresh().hands({ [mode!]: -100 }).mode).toBe('off');
    expect(model.hands({ [mode!]: 100 }).mode).toBe('level');
    expect(model.gain()).toBe(80);
  },
};
