import { handsOn, type Setup } from '../setup';

/** What a step leaves unsaid: how everything stands that it does not name. */
export function restWords({ transmitter }: Pick<Setup, 'transmitter'>): string {
  const hands =
    handsOn(transmitter) === 'sticks'
      ? 'sticks released, throttle closed'
      : 'wheel and trigger released';
  return `What a step does not name is at rest: ${hands}, switches and knobs as at power-up, the model level.`;
}
