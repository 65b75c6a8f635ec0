import type { ChannelFunction, Control, ControlKind, Transmitter } from '../setup';

const control = (
  id: string,
  label: string,
  kind: ControlKind,
  rest: number,
  hand?: ChannelFunction,
): Control => ({ id, label, kind, rest, ...(hand ? { hand } : {}) });

/** The four sticks and their trims; every aeroplane transmitter has them. */
const STICKS: Control[] = [
  control('stick-aileron', 'Aileron stick', 'stick', 0, 'aileron'),
  control('stick-elevator', 'Elevator stick', 'stick', 0, 'elevator'),
  control('stick-throttle', 'Throttle stick', 'stick', -100, 'throttle'),
  control('stick-rudder', 'Rudder stick', 'stick', 0, 'rudder'),
  control('trim-aileron', 'Aileron trim', 'trim', 0, 'aileron'),
  control('trim-elevator', 'Elevator trim', 'trim', 0, 'elevator'),
  control('trim-rudder', 'Rudder trim', 'trim', 0, 'rudder'),
];

const lineSixteen: Transmitter = {
  name: 'Sixteen channels, lines',
  description:
    'Every channel is a list of lines. Six three-position switches, two two-position, one momentary, two knobs, two sliders. Full scale is ±512 µs.',
  style: 'line',
  channels: 16,
  switchOnly: [],
  pulse: { centreUs: 1500, usAt100: 512 },
  frameMs: 9,
  defaultOrder: ['aileron', 'elevator', 'throttle', 'rudder'],
  throttleReversedInside: false,
  controls: [
    ...STICKS,
    control('sa', 'Switch A', 'switch-3', -100),
    control('sb', 'Switch B', 'switch-3', -100),
    control('sc', 'Switch C', 'switch-3', -100),
    control('sd', 'Switch D', 'switch-3', -100),
    control('se', 'Switch E', 'switch-3', -100),
    control('sf', 'Switch F', 'switch-3', -100),
    control('sg', 'Switch G', 'switch-2', -100),
    control('sh', 'Switch H', 'switch-2', -100),
    control('sm', 'Momentary M', 'momentary', -100),
    control('k1', 'Knob 1', 'knob', 0),
    control('k2', 'Knob 2', 'knob', 0),
    control('l1', 'Left slider', 'slider', -100),
    control('l2', 'Right slider', 'slider', -100),
  ],
  linkVariants: [
    { id: 'full', label: 'Sixteen channels', channels: 16 },
    { id: 'short', label: 'Eight channels', channels: 8 },
  ],
  link: 'full',
};

const functionEight: Transmitter = {
  name: 'Eight channels, functions',
  description:
    'Functions are assigned to channels and controls; a few programmable mixes. Throttle comes first. Full scale is ±400 µs.',
  style: 'function',
  channels: 8,
  switchOnly: [],
  pulse: { centreUs: 1500, usAt100: 400 },
  frameMs: 14,
  defaultOrder: ['throttle', 'aileron', 'elevator', 'rudder'],
  throttleReversedInside: false,
  controls: [
    ...STICKS,
    control('sa', 'Switch A', 'switch-2', -100),
    control('sb', 'Switch B', 'switch-3', -100),
    control('sc', 'Switch C', 'switch-3', -100),
    control('sd', 'Switch D', 'switch-2', -100),
    control('sm', 'Momentary M', 'momentary', -100),
    control('k1', 'Knob 1', 'knob', 0),
  ],
  linkVariants: [{ id: 'full', label: 'Eight channels', channels: 8 }],
  link: 'full',
};

/** Transmitters that ship with the app, described by traits. */
export const TRANSMITTERS: Readonly<Record<string, Transmitter>> = {
  'line-sixteen': lineSixteen,
  'function-eight': functionEight,
};
