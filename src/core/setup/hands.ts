import { STEERING_STICKS, type ChannelFunction } from './functions';
import type { Transmitter } from './schema/transmitter';

/** What is said of the hands of a transmitter. */
export interface HandWords {
  /** Both of them, as a heading. */
  title: string;
  /** "the sticks released" */
  all: string;
  one: string;
  /** What the throttle is moved by. */
  throttle: string;
  /** The throttle where nothing is asked of it. */
  closed: string;
}

const WORDS: Record<NonNullable<Transmitter['hands']>, HandWords> = {
  sticks: {
    title: 'Sticks',
    all: 'sticks',
    one: 'stick',
    throttle: 'throttle stick',
    closed: 'throttle low',
  },
  'wheel-and-trigger': {
    title: 'Wheel and trigger',
    all: 'wheel and trigger',
    one: 'control',
    throttle: 'trigger',
    closed: 'trigger released',
  },
};

type Held = Pick<Transmitter, 'hands' | 'controls'>;

/** What is in the hands; where nothing is said, a transmitter that steers and has no aileron stick has a wheel. */
export function handsOn({ hands, controls }: Held): NonNullable<Transmitter['hands']> {
  const has = (hand: ChannelFunction) =>
    controls.some((c) => c.kind === 'stick' && c.hand === hand);
  return hands ?? (has('steering') && !has('aileron') ? 'wheel-and-trigger' : 'sticks');
}

/** What the hands of this transmitter are called. */
export const handWords = (transmitter: Held): HandWords => WORDS[handsOn(transmitter)];

/** A stick that turns the model, and not the throttle. */
export const isSteeringStick = ({ kind, hand }: Transmitter['controls'][number]): boolean =>
  kind === 'stick' && hand !== undefined && STEERING_STICKS.includes(hand);
