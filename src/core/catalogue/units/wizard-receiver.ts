import { THREE_BANDS, numberedPorts, unit } from './parts';

export const wizardReceiver = unit(
  'Wizard receiver with tuning channels',
  'A receiver with the gyro inside, set up by a questionnaire on the transmitter. Channels can be given to the gain of each axis for tuning in flight. Panic recovery on a channel of its own, with limits and a delay. Running the questionnaire again puts every mode back to its default.',
  {
    inputChannels: 14,
    ports: numberedPorts(9),
    modes: ['off', 'rate', 'hold', 'level', 'hover'],
    modeSelect: { by: 'bands', bands: THREE_BANDS },
    gainLaw: 'full-range',
    maxGainLimit: true,
    portReverse: false,
    captureGestures: ['menu'],
    panic: 'mode-limits-delay',
    failsafe: ['preset', 'hold', 'no-pulses', 'unit-mode'],
    extras: ['frame-rate', 'output-matching', 'pitch-with-throttle', 'roll-through'],
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
      { mode: 'hold', colour: 'amber', blinks: 2 },
      { mode: 'level', colour: 'blue', blinks: 1 },
      { mode: 'hover', colour: 'white', blinks: 3 },
    ],
    twitchesAtPowerUp: 2,
  },
);
