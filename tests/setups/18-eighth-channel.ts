import { expect } from 'vitest';
import { planFor } from '@/core/plan';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Eight channels only when chosen by hand, for a gain knob without a plug; labelled plugs. */
export const eighthChannel: Shape = {
  name: 'the eighth channel by hand, labelled plugs, two rates on a switch',
  make() {
    const unit = unitLike('switch-receiver', {
      inputChannels: 8,
      inputOrder: { kind: 'free' },
      captureGestures: ['power-up'],
      panic: 'none',
    });
    const setup = planned(
      'Dotterel',
      {
        airframe: airframe('conventional', { ailerons: 'two-outputs', flaps: true, gear: true }),
        unit,
        transmitter: transmitterLike('function-eight', {
          defaultOrder: ['aileron', 'elevator', 'throttle', 'rudder'],
        }),
      },
      {
        wish: 'rates',
        value: {
          by: 'switch',
          control: 'sd',
          at: [
            { pct: 65, expoPct: 25 },
            { pct: 100, expoPct: 15 },
          ],
        },
      },
    );
    const rudder = setup.airframe.servos.find((s) => s.carries === 'rudder')!;
    rudder.rotation = 'reversed';
    setup.program.outputs.find((o) => o.carries === 'rudder')!.reversed = true;
    setup.unit.settings.axes.yaw.reversed = true;
    return checked(setup);
  },
  drives(model) {
    expect(model.fresh().hands({ sd: -100, 'stick-aileron': 100 }).sent('aileron')).toBe(65);
    expect(model.hands({ sd: 100 }).sent('aileron')).toBe(100);
    expect(model.fresh().hands({ 'stick-rudder': 100 }).surface('rudder')).toBeLessThan(-3);
    const { notes } = planFor(model.setup);
    expect(notes.join()).toContain('Automatic, seven channels');
  },
};
