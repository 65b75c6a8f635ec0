import { numberedPorts, unit } from './parts';

export const satelliteGyro = unit(
  'Travel-learning satellite gyro',
  'Plugs into a receiver as a satellite and learns mixing, travel and direction from the sticks: there is nothing to reverse in it. The sign of the gain channel chooses: one side damps, the other holds, the middle is off. Deltas and V-tails are mixed in the transmitter.',
  {
    place: 'satellite',
    inputChannels: 10,
    ports: numberedPorts(8),
    mixer: 'transmitter',
    modes: ['off', 'rate', 'hold'],
    modeSelect: { by: 'gain-sign', deadPct: 5 },
    slotsSettable: false,
    gainLaw: 'sign-selects-set',
    gainLeadMissing: 'zero',
    gainKept: 'output-and-set',
    extras: ['response', 'speed-gain'],
    correctionDirection: 'learned',
    orientationLearned: 'turning',
    orientations: [
      'nose-up',
      'nose-down',
      'nose-left',
      'nose-right',
      'tail-up',
      'tail-down',
      'tail-left',
      'tail-right',
    ],
    captureGestures: ['stick-corners'],
    panic: 'none',
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'blue', blinks: 2 },
      { mode: 'hold', colour: 'red', blinks: 1 },
    ],
  },
  { slots: ['rate', 'off', 'hold'] },
);
