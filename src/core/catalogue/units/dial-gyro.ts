import { labelledPorts, receiverPorts, unit } from './parts';

export const dialGyro = unit(
  'Inline gyro with three dials',
  'Sits between the receiver and three servos. Each dial sets one axis: no correction at its centre, the side sets the direction, further from the centre is more. No modes and no gain channel: it damps whenever it has power.',
  {
    place: 'between',
    inputChannels: 8,
    ports: [
      ...labelledPorts([
        { carries: 'aileron', label: 'AIL out', canStabilize: true },
        { carries: 'elevator', label: 'ELE out', canStabilize: true },
        { carries: 'rudder', label: 'RUD out', canStabilize: true },
      ]),
      ...receiverPorts(6),
    ],
    mixer: 'either',
    modes: ['rate'],
    modeSelect: { by: 'fixed' },
    slotsSettable: false,
    gainLaw: 'fixed',
    dials: 'centre-zero',
    correctionDirection: 'dial-side',
    orientations: ['nose-up', 'nose-down', 'tail-up', 'tail-down'],
    stickFade: 'fixed',
    captureGestures: ['power-up'],
    panic: 'none',
    lights: [{ mode: 'rate', colour: 'green', blinks: 1 }],
  },
  { slots: ['rate'], axes: dialAxes() },
);

/** Dials a quarter up to start with. Common practice, no source. */
function dialAxes() {
  const axis = { gainPct: 25, secondGainPct: 25, reversed: false, fadePct: 0, holdAllowed: false };
  return { roll: { ...axis }, pitch: { ...axis }, yaw: { ...axis } };
}
