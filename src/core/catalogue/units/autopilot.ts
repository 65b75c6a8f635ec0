import { labelledPorts, unit } from './parts';

export const autopilot = unit(
  'Small autopilot with return home',
  'A flight controller between receiver and servos. A two-position and a three-position switch together choose among six modes. Levelling and return home wait for a position fix; when the signal is lost it can take over by itself. Mixes deltas and V-tails.',
  {
    place: 'between',
    inputChannels: 10,
    ports: labelledPorts([
      { carries: 'aileron', label: 'S1', canStabilize: true },
      { carries: 'elevator', label: 'S2', canStabilize: true },
      { carries: 'throttle', label: 'S3', canStabilize: false },
      { carries: 'rudder', label: 'S4', canStabilize: true },
      { carries: 'aileron2', label: 'S5', canStabilize: true },
      { carries: 'aux1', label: 'S6', canStabilize: false },
      { carries: 'aux2', label: 'S7', canStabilize: false },
    ]),
    mixer: 'unit',
    modes: ['off', 'rate', 'hold', 'level', 'trainer', 'home'],
    modeSelect: {
      by: 'two-channels',
      bands: [0, 1, 2].flatMap((i) =>
        [0, 1].map((j) => ({
          fromUs: [800, 1333, 1667][i]!,
          toUs: [1333, 1667, 2200][i]!,
          secondFromUs: [800, 1500][j]!,
          secondToUs: [1500, 2200][j]!,
          slot: i + 3 * j,
        })),
      ),
    },
    gainLaw: 'full-range',
    correctionDirection: 'menu',
    arming: 'position-fix',
    refusesThrottle: true,
    levelCapture: { by: 'power-up' },
    panic: 'mode-band',
    failsafe: ['preset', 'hold', 'no-pulses', 'unit-mode', 'autopilot'],
    extras: ['pitch-with-throttle', 'speed-gain', 'vibration-readout', 'six-face-calibration'],
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
      { mode: 'hold', colour: 'amber', blinks: 2 },
      { mode: 'level', colour: 'blue', blinks: 1 },
      { mode: 'trainer', colour: 'white', blinks: 2 },
      { mode: 'home', colour: 'red', blinks: 3 },
    ],
  },
  { slots: ['off', 'rate', 'level', 'hold', 'trainer', 'home'] },
);
