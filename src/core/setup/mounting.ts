import { kindOf, type Manner } from './kinds';
import type { Airframe } from './schema/airframe';
import type { Axis, Mounting, Sense } from './lists';
import type { UnitTraits } from './schema/unit';
import { SIDE_NAMES } from './written';

/** Nose and tail by the names they have on this kind of model. */
export const endWords = (word: string, { front, back }: Pick<Manner, 'front' | 'back'>): string =>
  word === 'nose'
    ? front
    : word === 'tail'
      ? back
      : ((SIDE_NAMES as Record<string, string>)[word] ?? word);

/** "arrow to the tail, label up", "arrow up, label to the left" */
export function mountingWords(mounting: Mounting, airframe: Pick<Airframe, 'kind'>): string {
  const side = (word: string) =>
    word === 'up' || word === 'down'
      ? SIDE_NAMES[word]
      : `to the ${endWords(word, kindOf(airframe))}`;
  const [arrow, label] = mounting.split('-');
  return `arrow ${side(arrow!)}, label ${side(label!)}`;
}

/** How this unit learns which way it is mounted, as an instruction without its full stop; nothing where it does not. */
export function howOrientationIsLearned(
  { traits }: { traits: Pick<UnitTraits, 'orientationLearned'> },
  airframe: Pick<Airframe, 'kind'>,
): string | undefined {
  const { front, back } = kindOf(airframe);
  switch (traits.orientationLearned) {
    case 'gravity':
      return `lay the model level and keep it still until the unit confirms, then stand it ${front} straight down`;
    case 'turning':
      return `lift the ${back} by more than 30° and put it back, then swing the ${front} to the right, flat`;
    case undefined:
      return undefined;
  }
}

/** "left wing raised", "nose swung right": a model turned about an axis, in the words of its kind. */
export function turnedWords(axis: Axis, sense: Sense, airframe: Pick<Airframe, 'kind'>): string {
  const { front, back, onSurface } = kindOf(airframe);
  switch (axis) {
    case 'roll':
      return `${sense > 0 ? 'left' : 'right'} ${onSurface ? 'side' : 'wing'} raised`;
    case 'pitch':
      return `${sense > 0 ? front : back} raised`;
    case 'yaw':
      return `${front} swung ${sense > 0 ? 'right' : 'left'}`;
  }
}
