import type { ChannelFunction, Control, Transmitter } from '../setup';

type StickWorks = { across: ChannelFunction; along: ChannelFunction };

/** What the left and the right stick work, by the stick mode a transmitter is built for (common practice, no source). */
const STICKS: Record<1 | 2 | 3 | 4, readonly [left: StickWorks, right: StickWorks]> = {
  1: [
    { across: 'rudder', along: 'elevator' },
    { across: 'aileron', along: 'throttle' },
  ],
  2: [
    { across: 'rudder', along: 'throttle' },
    { across: 'aileron', along: 'elevator' },
  ],
  3: [
    { across: 'aileron', along: 'elevator' },
    { across: 'rudder', along: 'throttle' },
  ],
  4: [
    { across: 'aileron', along: 'throttle' },
    { across: 'rudder', along: 'elevator' },
  ],
};

/** One stick under a thumb: two controls of the transmitter, or one. */
export interface Pad {
  side: 'left' | 'right';
  across?: Control;
  along?: Control;
}

/** The sticks as the hands hold them; on a wheel and trigger, the trigger left and the wheel right. */
export function padsOf({
  controls,
  stickMode = 2,
}: Pick<Transmitter, 'controls' | 'stickMode'>): Pad[] {
  const stick = (hand: string) => controls.find((c) => c.kind === 'stick' && c.hand === hand);
  const [left, right] = STICKS[stickMode];
  const pad = (side: Pad['side'], works: StickWorks): Pad => {
    const across = stick(works.across) ?? (side === 'right' ? stick('steering') : undefined);
    const along = stick(works.along);
    return { side, ...(across ? { across } : {}), ...(along ? { along } : {}) };
  };
  return [pad('left', left), pad('right', right)].filter((p) => p.across || p.along);
}

/** The stick a control belongs to; undefined for everything that is no stick. */
export const sideOf = (transmitter: Transmitter, id: string): Pad['side'] | undefined =>
  padsOf(transmitter).find((p) => p.across?.id === id || p.along?.id === id)?.side;
