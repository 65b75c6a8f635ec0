import { holdWords, holdsOf } from '../capture';
import { AXES, type Axis, type Setup, type Unit } from '../setup';

/** With what a hand sets a unit, where nothing more special is said. */
export type Means = 'menu' | 'switches' | 'button' | 'gestures' | 'dials' | 'taught';

/** What most of a unit's settings are entered with. */
export function meansOf({ traits }: Pick<Unit, 'traits'>): Means {
  if (traits.correctionDirection === 'menu' || traits.captureGestures.includes('menu'))
    return 'menu';
  if (traits.correctionDirection === 'button') return 'button';
  if (traits.correctionDirection === 'gestures') return 'gestures';
  if (traits.correctionDirection === 'switches') return 'switches';
  return traits.dials === 'none' ? 'taught' : 'dials';
}

const AS_IT_COMES = 'factory setting: do not press';

const isPressedFor = ({ traits }: Pick<Unit, 'traits'>, what: string): boolean =>
  traits.presses?.some((p) => p.for.toLowerCase() === what.toLowerCase()) ?? false;

/** "three presses of its button", or nothing where the leaflet's number is not written down. */
export function pressWords({ traits }: Pick<Unit, 'traits'>, what: string): string {
  const known = traits.presses?.find((p) => p.for.toLowerCase() === what.toLowerCase());
  if (!known) return 'with its button, as many presses as the leaflet says';
  return known.presses === 1 ? 'one press of its button' : `${known.presses} presses of its button`;
}

/** "hold the elevator stick back for 3 s; it answers with 2 twitches", or that the leaflet's gesture is not written down. */
function gestureWords(setup: Setup, what: string): string {
  const known = setup.unit.traits.gestures?.find((g) => g.for.toLowerCase() === what.toLowerCase());
  if (!known) return 'with the sticks, as the leaflet shows';
  const answers = known.twitches
    ? `; it answers with ${known.twitches === 1 ? 'one twitch' : `${known.twitches} twitches`}`
    : '';
  return `hold ${holdWords(holdsOf(setup, known.holds))} for ${known.seconds} s${answers}`;
}

/**
 * How a setting that turns something round or chooses a wing is entered on this unit.
 * @param isAsShipped it comes so: a button pressed all the same would turn it away again
 */
export function howTurned(setup: Setup, what: string, isAsShipped: boolean): string | undefined {
  const { unit } = setup;
  // A unit set otherwise for the most part may have a button for this one thing.
  if (isPressedFor(unit, what)) return isAsShipped ? AS_IT_COMES : pressWords(unit, what);
  switch (meansOf(unit)) {
    case 'menu':
      return undefined;
    case 'switches':
      return `with the small switch for ${what}`;
    case 'button':
      return isAsShipped ? AS_IT_COMES : pressWords(unit, what);
    case 'gestures':
      return isAsShipped ? 'factory setting: no stick gesture' : gestureWords(setup, what);
    case 'dials':
    case 'taught':
      return undefined;
  }
}

const PARTS: readonly (readonly [share: number, words: string])[] = [
  [0, 'not at all'],
  [0.1, 'a tenth of a turn'],
  [0.125, 'an eighth of a turn'],
  [0.2, 'a fifth of a turn'],
  [0.25, 'a quarter of a turn'],
  [1 / 3, 'a third of a turn'],
  [0.4, 'two fifths of a turn'],
  [0.5, 'half a turn'],
  [0.6, 'three fifths of a turn'],
  [2 / 3, 'two thirds of a turn'],
  [0.75, 'three quarters of a turn'],
  [0.9, 'nine tenths of a turn'],
  [1, 'a full turn'],
];

/** A share of a whole turn as a hand measures it: "a third of a turn". */
export const turnWords = (share: number): string =>
  PARTS.reduce((a, b) => (Math.abs(b[0] - share) < Math.abs(a[0] - share) ? b : a))[1];

/**
 * Where a dial stands for a gain: from its least in one turn, or so far to a side of its centre, which
 * is the direction as well. A whole side is half a turn.
 */
export function dialWords(
  { traits, settings }: Pick<Unit, 'traits' | 'settings'>,
  axis: Axis,
): string | undefined {
  const share = Math.min(1, settings.axes[axis].gainPct / 100);
  if (traits.dials === 'one-turn')
    return share === 0 ? 'its dial at minimum' : `its dial ${turnWords(share)} up from minimum`;
  if (traits.dials === 'centre-zero')
    return share === 0
      ? 'its dial in the centre'
      : `its dial ${turnWords(share / 2)} to the ${settings.axes[axis].reversed ? 'left' : 'right'} of its centre`;
  return undefined;
}

export const axesOf = ({ unit }: Setup): Axis[] =>
  AXES.filter((axis) => unit.traits.axes.includes(axis));

export const AXIS_NAMES: Record<Axis, string> = { roll: 'Roll', pitch: 'Pitch', yaw: 'Yaw' };
