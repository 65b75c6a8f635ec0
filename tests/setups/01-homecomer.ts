import { expect } from 'vitest';
import { settingRows } from '@/core/settings';
import { merganserSetup } from '@/demo/models/merganser';
import type { Shape } from './kit';

/** A small autopilot behind a plain six-channel receiver, in a T-tail: home, off, level reversed. */
export const homecomer: Shape = {
  name: 'autopilot with return home behind a plain receiver',
  make: merganserSetup,
  drives(model) {
    // Its wing type is set by the button, though its directions are on dials.
    const wingAs = (wingType: 'normal' | 'delta') => {
      const { unit } = model.setup;
      const settings = { ...unit.settings, wingType };
      return settingRows({ ...model.setup, unit: { ...unit, settings } }).find(
        (r) => r.id === 'wing-type',
      )!.how;
    };
    expect(wingAs('normal')).toBe('factory setting: do not press');
    expect(wingAs('delta')).toBe('2 presses of its button');
    const { failsafe, outputs } = model.setup.program;
    const cut = model.setup.intents.program.cut!.control;
    const mode = outputs.find((o) => o.carries === 'mode')!.channel;
    expect(failsafe.map((f) => f.channel)).toEqual([mode]);
    for (const [sa, wanted] of [
      [-100, 'level'],
      [0, 'off'],
      [100, 'home'],
    ] as const) {
      expect(model.fresh().hands({ sa }).mode).toBe(wanted);
      // Whatever the switch says, a lost signal brings it home, and nobody cuts its motor.
      expect(model.hands({ 'stick-throttle': 20, [cut]: 100 }).world({ link: false }).mode).toBe(
        'home',
      );
      expect(model.motor).toBeGreaterThan(30);
      model.world({ link: true });
    }
    // Off halves the throw.
    const full = model.fresh().hands({ sa: -100, 'stick-aileron': 100 }).sent('aileron');
    expect(model.hands({ sa: 0 }).sent('aileron')).toBe(full / 2);
    // Without a position fix it holds the throttle off in level and home, and only there.
    model
      .fresh()
      .world({ fix: false })
      .hands({ 'stick-throttle': 50, [cut]: 100, sa: -100 });
    expect(model.motor).toBeLessThan(3);
    expect(model.hands({ sa: 0 }).motor).toBeGreaterThan(50);
    expect(model.hands({ sa: -100 }).world({ fix: true }).motor).toBeGreaterThan(50);
  },
};
