import { gesturesOf, stickOf } from '../chain';
import {
  functionOf,
  kindOf,
  type Airframe,
  type ChannelFunction,
  type Transmitter,
  type Unit,
} from '../setup';

export type Mixer = 'unit' | 'transmitter';

/**
 * Who mixes elevons and V-tails: the unit where it can, so that its correction is mixed alike,
 * unless it leaves the choice and the person wants the transmitter to.
 */
export function mixerOf(unit: Unit, wish?: Mixer): Mixer {
  return unit.traits.mixer === 'either' ? (wish ?? 'unit') : unit.traits.mixer;
}

/** Functions the transmitter must send for this airframe, sticks first, without mode and gain. */
export function neededFunctions(airframe: Airframe, mixer: Mixer): ChannelFunction[] {
  const carried = [...airframe.servos, ...airframe.motors].map((a) => a.carries);
  const plain = carried.flatMap((f) => (mixer === 'unit' && functionOf(f).plain) || [f]);
  return [...new Set(plain)];
}

/** Functions by which the transmitter tells the unit what to do, that this unit understands. */
export function orderFunctions(unit: Unit): ChannelFunction[] {
  const { arming, modeSelect, gainLaw, panic, levelCapture, captureGestures } = unit.traits;
  return [
    // A unit that waits for the throttle must be sent one, on a glider too.
    ...(arming === 'after-throttle' ? (['throttle'] as const) : []),
    ...(modeSelect.by === 'bands' || modeSelect.by === 'two-channels' ? (['mode'] as const) : []),
    ...(modeSelect.by === 'two-channels' ? (['mode2'] as const) : []),
    ...(gainLaw === 'fixed' ? [] : (['gain'] as const)),
    ...(panic === 'channel' || panic === 'mode-limits-delay' ? (['recovery'] as const) : []),
    ...(levelCapture?.by === 'channel' || captureGestures.includes('channel')
      ? (['capture'] as const)
      : []),
  ];
}

/** Sticks the unit wants for its gestures, whatever the model does with them. */
export const gestureFunctions = (unit: Unit, transmitter: Transmitter): ChannelFunction[] => {
  const sticks = gesturesOf(unit).flatMap(({ by }) =>
    by.kind === 'corner' ? by.holds.map((h) => h.stick) : [],
  );
  return [...new Set(sticks)].filter((f) => stickOf(transmitter, f) >= 0);
};

/** Functions whose rest is the channel's centre: flaps up, no capture. */
const RESTS_IN_THE_MIDDLE: ReadonlySet<ChannelFunction> = new Set(['flap', 'flap2', 'capture']);

/** Whether a channel that carries only a switch can carry this. Of two positions neither is the middle. */
export const canRideSwitch = (
  carries: ChannelFunction,
  { switchOnlyPositions }: Pick<Transmitter, 'switchOnlyPositions'>,
): boolean =>
  functionOf(carries).switched === true &&
  !(switchOnlyPositions === 2 && RESTS_IN_THE_MIDDLE.has(carries));

/** Why a unit does not suit an airframe; empty when it does. */
export function unsuited(airframe: Airframe, unit: Unit, mixer?: Mixer): string[] {
  const { traits } = unit;
  const { onSurface: surface } = kindOf(airframe);
  const steering = traits.ports.some((p) => p.labelledFor === 'steering');
  const reasons: string[] = [];
  if (surface && !steering)
    reasons.push(
      'This unit is made for aeroplanes; a car or boat wants one with a steering output.',
    );
  if (!surface && steering)
    reasons.push('This unit has one steering output; an aeroplane needs three axes.');
  const pair = airframe.surfaces.find((s) => s.role === 'elevon' || s.role === 'ruddervator');
  if (pair && traits.place === 'single-axis')
    reasons.push(
      `A gyro in one lead cannot stabilize ${pair.role === 'elevon' ? 'elevons' : 'a V-tail'}: it would see half of a mix.`,
    );
  if (
    airframe.surfaces.some((s) => s.role === 'flaperon') &&
    mixerOf(unit, mixer) === 'unit' &&
    traits.mixer === 'unit'
  )
    reasons.push(
      'This unit mixes by itself and has no flaperons; use separate flaps or a unit that lets the transmitter mix.',
    );
  const needsRudder =
    traits.place === 'single-axis' &&
    !steering &&
    !airframe.surfaces.some((s) => s.role === 'rudder');
  if (!pair && needsRudder) reasons.push('This gyro works on the rudder, and the model has none.');
  return reasons;
}
