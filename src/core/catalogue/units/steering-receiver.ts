import { labelledPorts, unit } from './parts';

export const steeringReceiver = unit(
  'Steering gyro receiver',
  'A receiver for cars and boats with a yaw gyro on its steering output. A dial on the gain channel: the middle is off, one side returns slowly, the other fast. It learns direction and both ends in one go: full left, hold until it centres itself, then full right; starting with the right reverses everything.',
  {
    axes: ['yaw'],
    inputChannels: 4,
    ports: labelledPorts([
      { carries: 'steering', label: 'ST', canStabilize: true },
      { carries: 'throttle', label: 'TH', canStabilize: false },
      { carries: 'aux1', label: 'AUX', canStabilize: false },
    ]),
    inputOrder: { kind: 'fixed', order: ['steering', 'throttle', 'gain'] },
    mixer: 'unit',
    modes: ['off', 'rate'],
    modeSelect: { by: 'gain-sign', deadPct: 4 },
    slotsSettable: false,
    gainLaw: 'sign-selects-set',
    gainSides: { below: 'slow return', above: 'fast return' },
    axisGains: false,
    gainLeadMissing: 'zero',
    correctionDirection: 'learned',
    orientations: ['nose-up', 'nose-down', 'tail-up', 'tail-down'],
    stickFade: 'fixed',
    captureGestures: ['button'],
    panic: 'none',
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'blue', blinks: 1 },
    ],
  },
  { slots: ['rate', 'off', 'rate'], wingType: 'steering' },
);
