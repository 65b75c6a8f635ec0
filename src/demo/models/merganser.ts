import type { Setup } from '../../core/setup';
import type { DemoModel } from '../kit';
import { airframe, planned, transmitterLike, unitLike } from '../parts';

export function merganserSetup(): Setup {
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
    'Merganser, T-tail',
    { airframe: airframe('t-tail', { wheel: 'shared' }), unit, transmitter },
    { wish: 'modes', value: { switches: ['sa'], table: ['level', 'off', 'home'] } },
    {
      wish: 'rates',
      value: { by: 'mode', off: { pct: 50, expoPct: 0 }, on: { pct: 100, expoPct: 0 } },
    },
    { wish: 'failsafe', value: { school: 'home', pitchDeg: 0, rollDeg: 0 } },
  );
}

/** The T-tail with an autopilot that comes home behind a plain receiver. */
export function merganser(): DemoModel {
  const setup = {
    ...merganserSetup(),
    notes: 'Comes home by itself when the link is lost; the motor is its own then.',
  };
  return {
    versions: [{ setup, label: 'Chosen at the table', at: '2026-10-18T15:10:00.000Z' }],
    seen: [],
    log: [],
  };
}
