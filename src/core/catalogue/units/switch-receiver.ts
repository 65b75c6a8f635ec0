import { THREE_BANDS, labelledPorts, unit } from './parts';

export const switchReceiver = unit(
  'All-in-one receiver with small switches',
  'A receiver with the gyro inside and a row of small switches: one for each axis reverses its correction, one sets the wing type. Lies flat, either way up, arrow forward. Ports are labelled by function.',
  {
    inputChannels: 7,
    ports: labelledPorts([
      { carries: 'aileron', label: 'AIL', canStabilize: true },
      { carries: 'elevator', label: 'ELE', canStabilize: true },
      { carries: 'throttle', label: 'THR', canStabilize: false },
      { carries: 'rudder', label: 'RUD', canStabilize: true },
      { carries: 'aileron2', label: 'AIL 2', canStabilize: true },
      { carries: 'aux1', label: 'AUX 1', canStabilize: false },
      { carries: 'aux2', label: 'AUX 2', canStabilize: false },
    ]),
    inputOrder: { kind: 'fixed', order: ['aileron', 'elevator', 'throttle', 'rudder'] },
    mixer: 'unit',
    modes: ['off', 'rate', 'level'],
    modeSelect: { by: 'bands', bands: THREE_BANDS },
    slotsSettable: false,
    gainLaw: 'zero-to-full',
    axisGains: false,
    correctionDirection: 'switches',
    orientations: ['nose-up', 'nose-down'],
    stickFade: 'fixed',
    captureGestures: ['mode-flick', 'power-up'],
    panic: 'mode-band',
  },
);
