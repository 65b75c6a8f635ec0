import { DIAL_START_PCT, TWO_BANDS, atGain, labelledPorts, unit } from './parts';

export const buttonStabilizer = unit(
  'Button-set four-channel stabilizer',
  'A plain box between receiver and four servos, set with one button and a number of presses: wing type, and the correction direction of each axis. A two-position switch chooses between off and damping. Flat only, either way up, pins toward the tail.',
  {
    place: 'between',
    inputChannels: 8,
    ports: [
      ...labelledPorts([
        { carries: 'aileron', label: '1', canStabilize: true },
        { carries: 'elevator', label: '2', canStabilize: true },
        { carries: 'rudder', label: '3', canStabilize: true },
        { carries: 'aileron2', label: '4', canStabilize: true },
      ]),
      { id: 'rx1', label: 'Receiver 1', canStabilize: false, on: 'receiver' },
      { id: 'rx2', label: 'Receiver 2', canStabilize: false, on: 'receiver' },
      { id: 'rx3', label: 'Receiver 3', canStabilize: false, on: 'receiver' },
    ],
    mixer: 'either',
    modes: ['off', 'rate'],
    modeSelect: { by: 'bands', bands: TWO_BANDS },
    slotsSettable: false,
    gainLaw: 'fixed',
    dials: 'one-turn',
    correctionDirection: 'button',
    presses: [
      { for: 'the wing', presses: 5 },
      { for: 'roll', presses: 1 },
      { for: 'pitch', presses: 2 },
      { for: 'yaw', presses: 3 },
    ],
    orientations: ['nose-up', 'nose-down'],
    stickFade: 'fixed',
    captureGestures: ['button'],
    panic: 'none',
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
    ],
  },
  {
    slots: ['off', 'rate'],
    // A dial of one turn starts at a quarter to a third: common practice, no source.
    axes: atGain(DIAL_START_PCT),
  },
);
