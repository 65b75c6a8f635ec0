import { labelledPorts, receiverPorts, unit } from './parts';

export const singleAxisGyro = unit(
  'Single-axis gyro with two outputs',
  'Plugs into the rudder lead only. A small switch reverses its correction, a gain lead sets how much: the size of the value counts, not its sign. Without its gain lead it gives full gain.',
  {
    place: 'single-axis',
    axes: ['yaw'],
    inputChannels: 8,
    ports: [
      ...labelledPorts([{ carries: 'rudder', label: 'Gyro out', canStabilize: true }]),
      ...receiverPorts(7),
    ],
    mixer: 'transmitter',
    modes: ['rate'],
    modeSelect: { by: 'fixed' },
    slotsSettable: false,
    gainLaw: 'magnitude',
    axisGains: false,
    gainLeadMissing: 'full',
    correctionDirection: 'switches',
    orientations: ['nose-up', 'nose-down', 'tail-up', 'tail-down'],
    stickFade: 'fixed',
    captureGestures: ['power-up'],
    panic: 'none',
    lights: [{ mode: 'rate', colour: 'red', blinks: 1 }],
  },
  { slots: ['rate'] },
);
