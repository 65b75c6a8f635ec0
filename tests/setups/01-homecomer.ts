import { expect } from 'vitest';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A small autopilot behind a plain six-channel receiver, in a T-tail: home, off, level turned round. */
export const homecomer: Shape = {
  name: 'autopilot with return home behind a plain receiver',
  make() {
    const unit = unitLike(
      'autopilot',
      {
        inputChannels: 6,
        inputOrder: { kind: 'fixed', order: ['aileron', 'elevator', 'throttle', 'rudder', 'mode'] },
        modes: ['home', 'off', 'level'],
        modeSelect: {
          by: 'bands',
          bands: [
            { fromUs: 800, toUs: 1320, slot: 0 },
            { fromUs: 1320, toUs: 1680, slot: 1 },
            { fromUs: 1680, toUs: 2200, slot: 2 },
          ],
        },
        slotsSettable: false,
        gainLaw: 'fixed',
        axisGains: false,
        dials: 'centre-zero',
        correctionDirection: 'dial-side',
        captureGestures: ['button'],
        levelCapture: {
          by: 'corner',
          mode: 'level',
          holds: [
            { stick: 'elevator', at: -100 },
            { stick: 'rudder', at: 100 },
          ],
          seconds: 3,
        },
        presses: [{ for: 'the wing', presses: 2 }],
        extras: [],
        lights: [],
      },
      { slots: ['home', 'off', 'level'] },
    );
    for (const axis of ['roll', 'pitch', 'yaw'] as const) unit.settings.axes[axis].gainPct = 40;
    const transmitter = transmitterLike('line-sixteen', {
      channels: 6,
      linkVariants: [{ id: 'full', label: 'Six channels', channels: 6 }],
    });
    // It is laid down with the mode switch in its middle.
    transmitter.controls.find((c) => c.id === 'sa')!.rest = 0;
    return planned(
      'Merganser',
      { airframe: airframe('t-tail', { wheel: 'shared' }), unit, transmitter },
      { wish: 'modes', value: { switches: ['sa'], table: ['level', 'off', 'home'] } },
      {
        wish: 'rates',
        value: { by: 'mode', off: { pct: 50, expoPct: 0 }, on: { pct: 100, expoPct: 0 } },
      },
      { wish: 'failsafe', value: { school: 'home', pitchDeg: 0, rollDeg: 0 } },
    );
  },
  drives(model) {
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
      // Whatever the switch says, a lost link brings it home, and nobody cuts its motor.
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
