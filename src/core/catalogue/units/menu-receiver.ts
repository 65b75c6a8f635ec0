import { THREE_BANDS, numberedPorts, unit } from './parts';

export const menuReceiver = unit(
  'Menu receiver with numbered modes',
  'Gyro and receiver in one, set in a menu on the transmitter once bound and powered. Numbered ports, any of the 24 mountings.',
  {
    inputChannels: 12,
    ports: numberedPorts(8),
    modes: ['off', 'rate', 'hold', 'level', 'trainer'],
    modeSelect: { by: 'bands', bands: THREE_BANDS },
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
      { mode: 'hold', colour: 'amber', blinks: 2 },
      { mode: 'level', colour: 'blue', blinks: 1 },
      { mode: 'trainer', colour: 'white', blinks: 2 },
    ],
    maxGainLimit: true,
    portReverse: true,
    gainLeadMissing: 'keeps-last',
    captureGestures: ['menu', 'stick-corners'],
    panic: 'channel',
    failsafe: ['preset', 'hold', 'no-pulses', 'unit-mode'],
    extras: ['frame-rate', 'pitch-with-throttle', 'six-face-calibration', 'sensitivity-class'],
  },
);
