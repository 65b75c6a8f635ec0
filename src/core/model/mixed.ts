import { isOnFrontAxle } from '../linkage';
import {
  kindOf,
  type Airframe,
  type Mix,
  type MixId,
  type Sense,
  type Setup,
  type Surface,
} from '../setup';

/** What a mix is called in the middle of a sentence. */
export const MIX_NAMES: Readonly<Record<MixId, string>> = {
  crow: 'crow',
  'differential-thrust': 'differential thrust',
  'outward-rudders': 'rudders outward only',
  'aileron-rudder': 'rudder with the ailerons',
  'rear-axle': 'rear steering',
};

/** A mix that was chosen; undefined where it was not. */
export const mixOf = <I extends MixId>(
  { intents }: Pick<Setup, 'intents'>,
  id: I,
): Extract<Mix, { mix: I }> | undefined =>
  intents.program.mixes?.find((m): m is Extract<Mix, { mix: I }> => m.mix === id);

/**
 * The only way a surface may leave its rest by a stick, as the sign of its deflection: one of two rudders
 * that move outwards only. Undefined where both ways are asked of it.
 */
export function oneWayOf(setup: Setup, { role, side }: Surface): Sense | undefined {
  if (role !== 'rudder' || side === 'centre' || !mixOf(setup, 'outward-rudders')) return undefined;
  return side === 'left' ? 1 : -1;
}

/** Whether a wheel of a model on wheels is behind the balance point. */
export const isRearWheel = (airframe: Pick<Airframe, 'kind'>, surface: Surface): boolean =>
  kindOf(airframe).moves === 'wheels' && surface.role === 'wheel' && !isOnFrontAxle(surface);

/**
 * The position of its switch in which the rear axle steers against the front one, and so turns the model;
 * `undefined` where no switch decides it, `never` where none of its positions does.
 */
export function rearTurnsAt(
  setup: Setup,
  surface: Surface,
): { control: string; position: number } | 'never' | undefined {
  const mix = mixOf(setup, 'rear-axle');
  if (!mix || !isRearWheel(setup.airframe, surface)) return undefined;
  const position = mix.at.indexOf('against');
  return position < 0 ? 'never' : { control: mix.control, position };
}
