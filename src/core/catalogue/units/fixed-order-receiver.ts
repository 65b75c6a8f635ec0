import { THREE_BANDS, labelledPorts, unit } from './parts';

export const fixedOrderReceiver = unit(
  'Fixed-order self-mixing receiver',
  'A receiver with the gyro inside that expects aileron, elevator, throttle, rudder on channels 1 to 4 and mixes deltas and V-tails itself: the transmitter must send plain sticks. Servos go to labelled ports. The size of the gain value counts, its sign does not.',
  {
    inputChannels: 8,
    ports: labelledPorts([
      { carries: 'aileron', label: 'A', canStabilize: true },
      { carries: 'elevator', label: 'E', canStabilize: true },
      { carries: 'throttle', label: 'T', canStabilize: false },
      { carries: 'rudder', label: 'R', canStabilize: true },
      { carries: 'aileron2', label: 'A2', canStabilize: true },
      { carries: 'flap', label: 'F', canStabilize: false },
      { carries: 'aux1', label: 'X1', canStabilize: false },
      { carries: 'aux2', label: 'X2', canStabilize: false },
    ]),
    inputOrder: { kind: 'fixed', order: ['aileron', 'elevator', 'throttle', 'rudder'] },
    mixer: 'unit',
    modes: ['off', 'rate', 'hold', 'level'],
    modeSelect: { by: 'bands', bands: THREE_BANDS },
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
      { mode: 'hold', colour: 'amber', blinks: 2 },
      { mode: 'level', colour: 'blue', blinks: 1 },
    ],
    gainLaw: 'magnitude',
    axisGains: false,
    correctionDirection: 'button',
    orientations: ['nose-up', 'nose-down', 'tail-up', 'tail-down'],
    stickFade: 'fixed',
    captureGestures: ['stick-corners'],
    arming: 'after-throttle',
    armThrottlePct: 25,
    panic: 'mode-band',
  },
);
