import { labelledPorts, THREE_BANDS, unit } from './parts';

export const steeringMenu = unit(
  'Steering gyro with a menu',
  'A yaw gyro between a receiver and the steering servo of a car or boat, set in a small menu: direction, gain, centre and both endpoints of its output. A mode channel chooses off, damping or holding the heading; the gain channel reads from minimum to maximum. Nothing is learned: direction and ends are entered.',
  {
    place: 'between',
    axes: ['yaw'],
    inputChannels: 4,
    ports: labelledPorts([
      { carries: 'steering', label: 'ST', canStabilize: true },
      { carries: 'throttle', label: 'TH', canStabilize: false },
      { carries: 'aux1', label: 'AUX', canStabilize: false },
    ]),
    inputOrder: { kind: 'fixed', order: ['steering', 'throttle', 'gain', 'mode'] },
    mixer: 'unit',
    modes: ['off', 'rate', 'hold'],
    modeSelect: { by: 'bands', bands: THREE_BANDS },
    slotsSettable: false,
    gainLaw: 'full-range',
    axisGains: false,
    gainLeadMissing: 'zero',
    correctionDirection: 'menu',
    orientations: ['nose-up', 'nose-down', 'tail-up', 'tail-down'],
    stickFade: 'fixed',
    outputTravel: true,
    captureGestures: ['menu'],
    panic: 'none',
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
      { mode: 'hold', colour: 'amber', blinks: 1 },
    ],
  },
  { slots: ['off', 'rate', 'hold'], wingType: 'steering' },
);
