import type { FailsafeSchool, GainWish, PanicWay, WishId } from '../../setup';

/** What each choice is about, as a heading. */
export const WISH_TITLES: Record<WishId, string> = {
  sticks: 'Sticks',
  flaps: 'Flaps',
  gear: 'Gear',
  brake: 'Wheel brake',
  mixes: 'Mixes',
  devices: 'Devices',
  capture: 'Capture channel',
  modes: 'Modes',
  gain: 'Gain',
  lock: 'Gain locked at off',
  reverse: 'Brake before reverse',
  rates: 'Rates and expo',
  launch: 'Hand launch',
  panic: 'Panic recovery',
  cut: 'Throttle cut',
  voice: 'Call-outs',
  timer: 'Motor timer',
  failsafe: 'Failsafe',
};

/** Why a choice cannot be had from this unit. */
export const CANNOT = {
  gain: 'This unit has no gain channel: its gain is set on the unit itself.',
  modes: 'This unit has one mode and nothing to choose.',
  level: 'the unit cannot level the model',
} as const;

/*
 * When practitioners choose what. Common practice, no source.
 */

export const GAIN_CHOICES: Record<GainWish['by'], { title: string; when: string }> = {
  knob: {
    title: 'A knob or slider',
    when: 'While you are still finding the gain: turn it up slowly in fast passes. Then read the value and put it on a switch, because knobs get bumped.',
  },
  values: {
    title: 'Fixed values on a switch',
    when: 'When you have found the gain: off, fast and slow values that nobody can bump. Control grows with the square of speed, so the fast value is the smaller one.',
  },
  flap: {
    title: 'By flap position, with a master off',
    when: 'For models that land slowly with flaps: each flap position sets its own gain. A separate switch turns everything off, whatever the flaps do.',
  },
  axes: {
    title: 'A knob for each axis',
    when: 'For the tuning flights of a unit with tuning channels: one axis at a time. Remove the knobs when you know the shares.',
  },
  sets: {
    title: 'Two sets, chosen by the side of the middle',
    when: 'For units whose gain channel chooses what they do: one side damps, the other holds, the centre is off. The switch chooses the side, so that a knob can never cross it.',
  },
  fixed: {
    title: 'One fixed value',
    when: 'For a proven model and when no control is free. In the air you can change only the mode.',
  },
};

export const PANIC_CHOICES: Record<PanicWay, { title: string; when: string }> = {
  none: {
    title: 'None',
    when: 'No panic control: for units that cannot self-level, or pilots who prefer to have none.',
  },
  replace: {
    title: 'A control that takes over the mode channel',
    when: 'The best choice where lines can replace others: it gives the same value from every position of the mode switch, and releasing it restores the mode.',
  },
  offsets: {
    title: 'A mix for each mode position',
    when: 'For transmitters with mixes only: each position of the mode switch needs its own amount to reach the level value, so one fixed mix cannot do it.',
  },
  channel: {
    title: 'A recovery channel',
    when: 'Where the unit has one and a channel is free: it has its own limits and delay, and the mode switch is unaffected.',
  },
  'mode-position': {
    title: 'A position of the mode switch',
    when: 'When no control is free: self-levelling at one end of the switch, where you find it without looking. It stays on until switched back.',
  },
};

export const FAILSAFE_CHOICES: Record<FailsafeSchool, { title: string; when: string }> = {
  'motor-off': {
    title: 'Motor off, surfaces held',
    when: 'The minimum, for units that cannot level. Where it comes down depends on where the surfaces stood when the signal was lost.',
  },
  brake: {
    title: 'Motor off, brake on',
    when: 'For cars whose controller brakes below stop: the shortest way to a standstill. On ice, locked wheels lengthen it and the car may spin.',
  },
  glide: {
    title: 'Glide level, motor off',
    when: 'The usual choice where the unit levels: wings level and nose a little up, it comes down far but gently. It needs room straight ahead.',
  },
  circle: {
    title: 'Circle, motor off',
    when: 'Where there is no room ahead: a small bank keeps it near. It comes down steeper, and drifts with the wind.',
  },
  home: {
    title: 'The autopilot flies home',
    when: 'Only with an autopilot that knows its position. It controls the throttle. This does not permit you to lose sight of the model.',
  },
};

export const RATE_WHEN =
  'Some fly the same throws everywhere. Others want little throw with the unit off, where nothing smooths the stick, and all of it when the unit is on, because it takes its share of the travel.';
export const LAUNCH_WHEN =
  'For models thrown by one person: a control held for a second arms self-levelling and some up elevator, so that you can take one hand off the stick. Moving aileron or elevator gives you back control at once.';
