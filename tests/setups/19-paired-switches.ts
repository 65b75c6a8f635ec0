import { expect } from 'vitest';
import { levelCaptureOf } from '@/core/capture';
import { settingRows } from '@/core/settings';
import { airframe, checked, chosen, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Set with one button; two switches together choose among off, damping, level and off, hold, hover. */
export const pairedSwitches: Shape = {
  name: 'button-set stabilizer, modes of two switches',
  make() {
    const unit = unitLike(
      'button-stabilizer',
      {
        inputOrder: { kind: 'fixed', order: ['aileron', 'elevator', 'throttle', 'rudder'] },
        modes: ['off', 'rate', 'level', 'hold', 'hover'],
        modeSelect: {
          by: 'two-channels',
          bands: [0, 1, 2].flatMap((i) =>
            [0, 1].map((j) => ({
              fromUs: [800, 1340, 1660][i]!,
              toUs: [1340, 1660, 2200][i]!,
              secondFromUs: [800, 1500][j]!,
              secondToUs: [1500, 2200][j]!,
              slot: i + 3 * j,
            })),
          ),
        },
        levelCapture: {
          by: 'corner',
          mode: 'level',
          holds: [
            { stick: 'elevator', at: -100 },
            { stick: 'aileron', at: -100 },
          ],
          seconds: 2,
        },
        stickFade: 'fixed',
        lights: [],
      },
      { slots: ['off', 'rate', 'level', 'off', 'hold', 'hover'] },
    );
    for (const axis of ['roll', 'pitch', 'yaw'] as const) unit.settings.axes[axis].gainPct = 35;
    unit.settings.axes.yaw.holdAllowed = false;
    const setup = planned('Knot', {
      airframe: airframe('conventional'),
      unit,
      transmitter: transmitterLike('line-sixteen'),
    });
    setup.airframe.servos.find((s) => s.carries === 'elevator')!.rotation = 'reversed';
    setup.program.outputs.find((o) => o.carries === 'elevator')!.reversed = true;
    setup.unit.settings.axes.pitch.reversed = true;
    setup.unit.settings.orientation = 'nose-down';
    setup.installation.mounting = 'nose-down';
    // What a lost signal sends was worked out before the elevator was reversed.
    return checked(chosen(setup, { wish: 'failsafe', value: setup.intents.program.failsafe }));
  },
  drives(model) {
    const [first, second] = model.setup.intents.program.modes!.switches;
    const at = (a: number, b: number) => model.fresh().hands({ [first!]: a, [second!]: b }).mode;
    expect([-100, 0, 100].map((a) => at(a, -100))).toEqual(['off', 'rate', 'level']);
    expect([-100, 0, 100].map((a) => at(a, 100))).toEqual(['off', 'hold', 'hover']);
    // With the elevator reversed its part of the corner is at the other end.
    expect(levelCaptureOf(model.setup).words).toContain('the elevator stick away from you');
    const pitch = settingRows(model.setup).find((r) => r.id === 'direction pitch')!;
    expect(pitch).toMatchObject({ words: 'reversed', how: '2 presses of its button' });
  },
  cautions: { M30: 'the elevator is reversed on purpose, and the corner moves with it' },
};
