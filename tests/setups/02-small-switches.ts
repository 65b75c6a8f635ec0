import { expect } from 'vitest';
import { settingGroups, settingRows } from '@/core/settings';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A flying wing on a receiver with small switches: on and off on a switch, dials up a third. */
export const smallSwitches: Shape = {
  name: 'flying wing, receiver with small switches',
  make() {
    const unit = unitLike(
      'switch-receiver',
      {
        modes: ['off', 'rate'],
        modeSelect: {
          by: 'bands',
          bands: [
            { fromUs: 800, toUs: 1500, slot: 0 },
            { fromUs: 1500, toUs: 2200, slot: 1 },
          ],
        },
        inputOrder: { kind: 'fixed', order: ['aileron', 'elevator', 'throttle', 'rudder', 'mode'] },
        gainLaw: 'fixed',
        dials: 'one-turn',
        panic: 'none',
        failsafe: ['preset', 'hold', 'no-pulses'],
        captureGestures: ['power-up'],
        lights: [],
      },
      { slots: ['off', 'rate'] },
    );
    for (const axis of ['roll', 'pitch', 'yaw'] as const) unit.settings.axes[axis].gainPct = 33;
    const setup = planned('Petrel', {
      airframe: airframe('flying-wing'),
      unit,
      transmitter: transmitterLike('function-eight'),
    });
    // Square to the centre line, and well to one side of it.
    setup.installation.positionMm = { x: 0, y: 60, z: 0 };
    return setup;
  },
  drives(model) {
    const [mode] = model.setup.intents.program.modes!.switches;
    expect(model.hands({ [mode!]: -100 }).mode).toBe('off');
    expect(model.hands({ [mode!]: 100 }).mode).toBe('rate');
    expect(model.gain('roll')).toBe(33);
    const dial = settingRows(model.setup).find((r) => r.id === 'gain roll')!;
    expect(dial.how).toBe('its dial a third of a turn up from minimum');
    const wing = settingGroups(model.setup).find((g) => g.title === 'Wing type')!;
    expect(wing.rows[0]).toMatchObject({
      words: 'delta',
      how: 'with the small switch for the wing',
    });
  },
};
