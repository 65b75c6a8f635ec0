import { THREE_BANDS, labelledPorts, unit } from './parts';

export const gestureStabilizer = unit(
  'Stabilizer set by stick gestures',
  'The receiver of a ready-built foam model: nothing on it to press or to turn. Level, the wing type and the correction direction of each axis are set by holding both sticks in a corner of their own; it answers with twitches. Lies flat, arrow forward.',
  {
    inputChannels: 8,
    ports: labelledPorts([
      { carries: 'aileron', label: 'A', canStabilize: true },
      { carries: 'elevator', label: 'E', canStabilize: true },
      { carries: 'throttle', label: 'T', canStabilize: false },
      { carries: 'rudder', label: 'R', canStabilize: true },
      { carries: 'aileron2', label: 'A2', canStabilize: true },
      { carries: 'aux1', label: 'AUX 1', canStabilize: false },
      { carries: 'aux2', label: 'AUX 2', canStabilize: false },
    ]),
    inputOrder: { kind: 'fixed', order: ['aileron', 'elevator', 'throttle', 'rudder', 'mode'] },
    mixer: 'unit',
    modes: ['off', 'rate', 'level'],
    modeSelect: { by: 'bands', bands: THREE_BANDS },
    slotsSettable: false,
    gainLaw: 'fixed',
    axisGains: false,
    correctionDirection: 'gestures',
    gestures: [
      {
        for: 'the wing',
        holds: [
          { stick: 'elevator', at: 100 },
          { stick: 'aileron', at: -100 },
        ],
        seconds: 3,
        twitches: 3,
      },
      ...(['roll', 'pitch', 'yaw'] as const).map((axis, i) => ({
        for: axis,
        holds: [
          { stick: 'rudder' as const, at: 100 as const },
          {
            stick: (['aileron', 'elevator', 'elevator'] as const)[i]!,
            at: ([100, 100, -100] as const)[i]!,
          },
        ],
        seconds: 3,
        twitches: i + 1,
      })),
    ],
    levelCapture: {
      by: 'corner',
      holds: [
        { stick: 'elevator', at: -100 },
        { stick: 'aileron', at: 100 },
        { stick: 'rudder', at: -100 },
      ],
      seconds: 3,
    },
    orientations: ['nose-up'],
    stickFade: 'fixed',
    captureGestures: ['stick-corners'],
    panic: 'mode-band',
  },
);
