import type { Axis, ChannelFunction, Sense, Setup, Transmitter } from '../setup';

/** Sticks that may work a function, best first: a car's wheel can be an aeroplane's aileron stick. */
const HANDS: Partial<Record<ChannelFunction, readonly ChannelFunction[]>> = {
  rudder: ['rudder', 'steering'],
  steering: ['steering', 'aileron'],
};

/** Position in the control list of the stick that works a function; −1 when there is none. */
export function stickOf(transmitter: Transmitter, carries: ChannelFunction): number {
  for (const hand of HANDS[carries] ?? [carries]) {
    const at = transmitter.controls.findIndex((c) => c.kind === 'stick' && c.hand === hand);
    if (at >= 0) return at;
  }
  return -1;
}

/** The plain function that asks for rotation about an axis on this model. */
export function axisFunction(setup: Pick<Setup, 'airframe'>, axis: Axis): ChannelFunction {
  if (axis === 'roll') return 'aileron';
  if (axis === 'pitch') return 'elevator';
  return setup.airframe.servos.some((s) => s.carries === 'steering') ? 'steering' : 'rudder';
}

/** Which way of a stick asks for roll right, nose up, nose right: back is the negative end. */
export const STICK_ASKS: Readonly<Record<Axis, Sense>> = { roll: 1, pitch: -1, yaw: 1 };

/**
 * Controls that do not stand where they rest, by id.
 * @param values of every control, percent, in the transmitter's order
 */
export const heldIn = (
  { transmitter }: Pick<Setup, 'transmitter'>,
  values: ArrayLike<number>,
): Record<string, number> =>
  Object.fromEntries(
    transmitter.controls.flatMap((c, i) => (values[i] === c.rest ? [] : [[c.id, values[i]!]])),
  );

/**
 * Opens the throttle from wherever it rests (a trigger rests in its middle), with the cut released.
 * @param share 0 is closed, 1 is full
 */
export function openThrottle(
  setup: Pick<Setup, 'program' | 'transmitter'>,
  controls: Float64Array,
  share: number,
): void {
  releaseCut(setup, controls);
  const at = stickOf(setup.transmitter, 'throttle');
  const closed = setup.transmitter.controls[at]?.rest ?? -100;
  if (at >= 0) controls[at] = closed + (100 - closed) * share;
}

/** Puts the switch of the throttle cut, where there is one, to the side it does not rest on. */
export function releaseCut(
  { program, transmitter }: Pick<Setup, 'program' | 'transmitter'>,
  controls: Float64Array,
): void {
  const cut = program.lines.find((l) => l.purpose === 'throttle-cut')?.when;
  if (cut?.kind !== 'switch') return;
  const at = transmitter.controls.findIndex((c) => c.id === cut.control);
  controls[at] = transmitter.controls[at]!.rest < 0 ? 100 : -100;
}
