import { labelledPorts, receiverPorts, unit } from './parts';

export const steeringLead = unit(
  'Steering gyro in one lead',
  'Plugs into the steering lead of a car or boat; everything else stays on the receiver, so that a second throttle, a rear axle or a winch has a channel. The sign of its gain lead chooses: one side damps, the other holds the heading, the middle is off. A small switch reverses its correction.',
  {
    place: 'single-axis',
    axes: ['yaw'],
    inputChannels: 8,
    ports: [
      ...labelledPorts([{ carries: 'steering', label: 'Gyro out', canStabilize: true }]),
      ...receiverPorts(7),
    ],
    mixer: 'transmitter',
    modes: ['off', 'rate', 'hold'],
    modeSelect: { by: 'gain-sign', deadPct: 5 },
    slotsSettable: false,
    gainLaw: 'sign-selects-set',
    gainSides: { below: 'damping', above: 'holding' },
    axisGains: false,
    gainLeadMissing: 'zero',
    correctionDirection: 'switches',
    orientations: ['nose-up', 'nose-down', 'tail-up', 'tail-down'],
    stickFade: 'fixed',
    captureGestures: ['power-up'],
    panic: 'none',
    lights: [
      { mode: 'off', colour: 'none', blinks: 0 },
      { mode: 'rate', colour: 'green', blinks: 1 },
      { mode: 'hold', colour: 'amber', blinks: 1 },
    ],
  },
  { slots: ['rate', 'off', 'hold'] },
);
