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
  linkVariants: [
    { id: 'full', label: 'Eight channels, chosen by hand', channels: 8 },
    { id: 'auto', label: 'Automatic, seven channels', channels: 7 },
  ],
  link: 'full',
};

const lineEight: Transmitter = {
  ...lineSixteen,
  name: 'Eight channels, lines',
  description:
    'A small radio with lists of lines: two three-position switches, two two-position, no momentary, two knobs. Full scale is ±512 µs.',
  channels: 8,
  frameMs: 7,
  controls: [
    ...STICKS,
    control('sa', 'Switch A', 'switch-2', -100),
    control('sb', 'Switch B', 'switch-3', -100),
    control('sc', 'Switch C', 'switch-3', -100),
    control('sd', 'Switch D', 'switch-2', -100),
    control('k1', 'Knob 1', 'knob', 0),
    control('k2', 'Knob 2', 'knob', 0),
  ],
  linkVariants: [{ id: 'full', label: 'Eight channels', channels: 8 }],
};

const switchValueTen: Transmitter = {
  name: 'Ten channels, switch values',
  description:
    'Each switch position holds a number that goes straight to its channel; two switches can be combined into a table. Throttle comes first. Full scale is ±500 µs.',
  style: 'switch-value',
  channels: 10,
  switchOnly: [],
  pulse: { centreUs: 1500, usAt100: 500 },
  frameMs: 11,
  defaultOrder: ['throttle', 'aileron', 'elevator', 'rudder'],
  throttleReversedInside: false,
  controls: [
    ...STICKS,
    control('sa', 'Switch A', 'switch-3', -100),
    control('sb', 'Switch B', 'switch-3', -100),
    control('sc', 'Switch C', 'switch-3', -100),
    control('sd', 'Switch D', 'switch-2', -100),
    control('sm', 'Momentary M', 'momentary', -100),
    control('l1', 'Side lever', 'slider', -100),
  ],
  linkVariants: [{ id: 'full', label: 'Ten channels', channels: 10 }],
  link: 'full',
};

const switchValueSix: Transmitter = {
  ...switchValueTen,
  name: 'Six channels and one for a switch',
  description:
    'Six full channels; a seventh beyond the servo plugs can carry a switch and nothing else. Full scale is ±400 µs.',
  channels: 7,
  switchOnly: [7],
  pulse: { centreUs: 1500, usAt100: 400 },
  frameMs: 22,
  defaultOrder: ['aileron', 'elevator', 'throttle', 'rudder'],
  controls: [
    ...STICKS,
    control('sa', 'Switch A', 'switch-2', -100),
    control('sb', 'Switch B', 'switch-3', -100),
    control('sc', 'Switch C', 'switch-2', -100),
    control('sd', 'Switch D', 'switch-2', -100),
    control('k1', 'Knob 1', 'knob', 0),
  ],
  linkVariants: [{ id: 'full', label: 'Seven channels', channels: 7 }],
};

const surfaceFour: Transmitter = {
  name: 'Four channels, wheel and trigger',
  description:
    'For cars and boats: a wheel to steer, a trigger that rests in the middle, a dial and two buttons. Full scale is ±500 µs.',
  style: 'function',
  hands: 'wheel-and-trigger',
  channels: 4,
  switchOnly: [],
  pulse: { centreUs: 1500, usAt100: 500 },
  frameMs: 14,
  defaultOrder: ['steering', 'throttle'],
  throttleReversedInside: false,
  controls: [
    control('wheel', 'Wheel', 'stick', 0, 'steering'),
    control('trigger', 'Trigger', 'stick', 0, 'throttle'),
    control('trim-steering', 'Steering trim', 'trim', 0, 'steering'),
    control('dial', 'Dial', 'knob', 0),
    control('sa', 'Button A', 'switch-2', -100),
    control('sb', 'Button B', 'switch-2', -100),
  ],
  linkVariants: [{ id: 'full', label: 'Four channels', channels: 4 }],
  link: 'full',
};

const surfaceSix: Transmitter = {
  ...surfaceFour,
  name: 'Six channels, wheel, trigger and thumb switch',
  description:
    'For cars and boats: every channel is a list of lines with logic. A wheel, a trigger that brakes and then reverses, a three-position switch under the thumb, a dial, two buttons. Full scale is ±500 µs.',
  style: 'line',
  channels: 6,
  controls: [
    control('wheel', 'Wheel', 'stick', 0, 'steering'),
    control('trigger', 'Trigger', 'stick', 0, 'throttle'),
    control('trim-steering', 'Steering trim', 'trim', 0, 'steering'),
    control('st', 'Thumb switch', 'switch-3', -100),
    control('dial', 'Dial', 'knob', 0),
    control('sa', 'Button A', 'switch-2', -100),
    control('sb', 'Button B', 'momentary', -100),
  ],
  linkVariants: [{ id: 'full', label: 'Six channels', channels: 6 }],
};

/** Transmitters that ship with the app, described by traits. */
export const TRANSMITTERS: Readonly<Record<string, Transmitter>> = {
  'line-sixteen': lineSixteen,
  'function-eight': functionEight,
  'line-eight': lineEight,
  'switch-value-ten': switchValueTen,
  'switch-value-six': switchValueSix,
  'surface-four': surfaceFour,
  'surface-six': surfaceSix,
};
