import {
  endWords,
  isSteeringUnit,
  kindEntry,
  LEFT_FIRST,
  type Unit,
  type UnitTraits,
  AXIS_NAMES,
  functionOf,
} from '../setup';

/** One page about a unit, worked out from its traits, so that one made by a person has one too. */
export interface UnitGuide {
  /** In which order it must be set up. */
  order: string[];
  /** How a capture inside it is started. */
  gestures: { name: string; how: string }[];
  cannot: string[];
}

const GESTURES: Record<UnitTraits['captureGestures'][number], { name: string; how: string }> = {
  menu: {
    name: 'Menu',
    how: 'Release every control, close the throttle, and choose the capture in its menu.',
  },
  button: {
    name: 'Button',
    how: 'Press or hold the button on the unit; count its blinks before you release it.',
  },
  'stick-corners': {
    name: 'Stick corners',
    how: 'Hold both sticks in one corner until it confirms. A reversed channel moves the corner.',
  },
  'mode-flick': {
    name: 'Mode switch flicked',
    how: 'Flick the mode switch to its end and back, one to three times, within 3 seconds.',
  },
  channel: {
    name: 'Capture channel',
    how: 'Move the capture channel off its centre and back three times within 3 seconds.',
  },
  'power-up': {
    name: 'At power-up',
    how: 'Release every control and keep the model still while it starts: what it reads becomes the centre.',
  },
};

const DIRECTION: Record<UnitTraits['correctionDirection'], string> = {
  menu: 'reverse each wrong axis in its menu',
  switches: 'flip the small switch of each wrong axis',
  button: 'press the button as often as the leaflet says for each wrong axis',
  gestures: 'hold the sticks as the leaflet shows for each wrong axis',
  'dial-side': 'turn the dial of each wrong axis to the other side of its centre',
  learned: 'nothing to set: the unit learns them during capture. If one is wrong, capture again',
  none: 'nothing to set: a wrong one means the unit is mounted wrongly',
};

const GAIN: Record<UnitTraits['gainLaw'], string> = {
  fixed: 'has no gain channel',
  'zero-to-full': 'reads gain from 0 to +100; below 0 there is none',
  magnitude: 'reads the size of the gain value and ignores its sign; at centre there is none',
  'full-range': 'reads gain from −100 (none) to +100 (full)',
  'sign-selects-set': 'reads the size as gain; the sign chooses what it does, the centre is off',
};

const steers = (traits: UnitTraits): boolean => isSteeringUnit({ traits });

/** The page of a unit: what to do with it in which order, its gestures, and what it cannot do. */
export function unitGuide({ traits }: Pick<Unit, 'traits'>): UnitGuide {
  const steering = steers(traits);
  const learned = traits.correctionDirection === 'learned';
  const order = [
    'Second-hand, or its past unknown: reset it first, then set everything again.',
    steering
      ? 'Keep everything the motor turns clear until the last check.'
      : 'Propeller off, throttle cut on and tested, until the motor run-up.',
    traits.place === 'receiver'
      ? 'Update it and the transmitter, then bind, a step or two apart.'
      : 'Bind the receiver first and try the model without the unit.',
    traits.inputOrder.kind === 'fixed'
      ? `Channels in its order: ${traits.inputOrder.order.map((f) => functionOf(f).words).join(', ')}.`
      : 'Set in the unit which channel carries what.',
    traits.ports.some((p) => p.labelledFor)
      ? 'Plug servos in by the labels on its ports, not by channel number.'
      : 'Plug servos into the ports the plan names.',
    learned
      ? `${steering ? 'Steering' : 'Stick'} directions right in the transmitter before anything else: it learns from them.`
      : `${steering ? 'Steering' : 'Stick'} directions right with the unit off.`,
    ...(traits.extras.includes('six-face-calibration')
      ? ['Calibrate its six faces before it is fitted.']
      : []),
    `Mount it square: ${orientationWords(traits)}.`,
    ...(traits.mixer === 'unit' && !steering
      ? ['Set the wing type in it; the transmitter sends plain sticks.']
      : traits.mixer === 'transmitter' && traits.axes.length > 1
        ? ['Mix deltas and V-tails in the transmitter; the unit learns the mix from the sticks.']
        : []),
    ...(steering
      ? [`Let it learn the travel: ${LEFT_FIRST}.`]
      : [
          `Centre and travel capture, by ${traits.captureGestures.map((g) => GESTURES[g].name.toLowerCase()).join(' or ')}; repeat after every change of trim, subtrim, endpoint or direction.`,
        ]),
    `Correction directions: ${DIRECTION[traits.correctionDirection]}.`,
    ...(traits.arming === 'after-throttle'
      ? [
          `It stabilizes once the throttle has passed ${traits.armThrottlePct} % once: propeller off, then run the stick up.`,
        ]
      : []),
    ...(traits.modes.includes('level') ? ['Capture level in the attitude it flies at.'] : []),
    ...(traits.panic === 'none' ? [] : ['Set panic recovery, then try it from every position.']),
    'Failsafe: set it, then switch the transmitter off with the model held.',
  ];
  return {
    order,
    gestures: traits.captureGestures.map((g) => GESTURES[g]),
    cannot: limits(traits),
  };
}

/** What this unit cannot do, in words. */
function limits(traits: UnitTraits): string[] {
  const { modes } = traits;
  return [
    traits.correctionDirection === 'learned'
      ? `notice that it learned the wrong way: it trusts the ${steers(traits) ? 'steering' : 'sticks'}`
      : 'notice that its orientation or direction is set wrong: only you can see that',
    ...(modes.includes('off') ? [] : ['be switched off from the transmitter']),
    ...(modes.includes('level') || steers(traits)
      ? []
      : ['level the model: it damps, and does not bring it back to an attitude']),
    ...(modes.includes('hold') ? [] : [steers(traits) ? 'hold a heading' : 'hold an attitude']),
    ...(traits.gainLaw === 'fixed' ? ['have its gain changed from the transmitter'] : []),
    ...(traits.axes.length < 3
      ? [`stabilize anything but ${traits.axes.map((a) => AXIS_NAMES[a]).join(' and ')}`]
      : []),
    ...(traits.mixer === 'unit' && !steers(traits)
      ? ['accept a delta or V-tail mixed in the transmitter']
      : []),
    ...(traits.mixer === 'transmitter' ? ['mix a delta or V-tail itself'] : []),
    ...(traits.orientations.length < 24
      ? [`be mounted other than ${orientationWords(traits)}`]
      : []),
    ...(traits.portReverse ? [] : ['reverse a servo at its output']),
    ...(traits.stickFade === 'fixed'
      ? [`have its ${steers(traits) ? 'fade with the steering' : 'stick fade'} changed`]
      : []),
    ...(traits.panic === 'none' && !steers(traits)
      ? ['recover by itself from a panic control']
      : []),
    ...(traits.slotsSettable || traits.modeSelect.by === 'fixed'
      ? []
      : ['have other modes put on its switch positions']),
    ...(traits.arming === 'position-fix' ? ['level or fly home before it knows its position'] : []),
    ...(steers(traits) || traits.failsafe.some((f) => f === 'unit-mode' || f === 'autopilot')
      ? []
      : ['fly by itself when the signal is lost']),
  ];
}

/** "flat, arrow to the nose, either way up" for the usual sets of orientations. */
function orientationWords(traits: UnitTraits): string {
  const { orientations } = traits;
  if (orientations.length === 24) return 'any of the 24 ways; set in the unit which one';
  // No model is at hand: what steers is spoken of as a car, all else as an aeroplane.
  const ends = kindEntry(steers(traits) ? 'car' : 'conventional');
  const arrows = [...new Set(orientations.map((m) => m.split('-')[0]!))].map((w) =>
    endWords(w, ends),
  );
  const faces = [...new Set(orientations.map((m) => m.split('-')[1]!))];
  const up = faces.includes('down') ? 'either way up' : `label ${faces.join(' or ')}`;
  return `arrow to the ${arrows.join(' or ')}, ${up}`;
}

/** How its gain channel is read, in words: "reads gain from …". */
export const gainWords = ({ gainLaw }: Pick<UnitTraits, 'gainLaw'>): string => GAIN[gainLaw];
