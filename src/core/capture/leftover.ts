import { compileChain } from '../chain';
import { AXES, type Axis, type Setup } from '../setup';

/** Less than this is what monitors and potentiometers wander by. Common practice, no source. */
const STILL_PCT = 1.5;

/** A stick the unit reads although nobody holds it, and what it does with it. */
export interface Leftover {
  axis: Axis;
  /** Positive asks for roll right, nose up, nose right. */
  pct: number;
  /** Bank or pitch asked for in self-levelling, same sign; undefined on yaw or without such a mode. */
  asksDeg: number | undefined;
  /** Side slip of altitude or heading it becomes, in words. */
  becomes: string;
}

/** Trims and subtrims the unit has not been taught: hold and self-levelling read them as sticks. */
export function leftovers(setup: Setup): Leftover[] {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const memory = chain.newMemory();
  memory.armed = true;
  chain.step(chain.restStimulus(), memory, frame);
  const { slots, angleLimitsDeg } = setup.unit.settings;
  const levels = slots.includes('level') || slots.includes('home');
  return AXES.flatMap((axis, i): Leftover[] => {
    const pct = frame.stickPct[i]!;
    if (Math.abs(pct) <= STILL_PCT || !setup.unit.traits.axes.includes(axis)) return [];
    const limit =
      axis === 'roll'
        ? angleLimitsDeg.roll
        : pct > 0
          ? angleLimitsDeg.pitchUp
          : angleLimitsDeg.pitchDown;
    const asksDeg = levels && axis !== 'yaw' ? (pct * limit) / 100 : undefined;
    const becomes =
      asksDeg === undefined
        ? 'in hold a steady drift'
        : `in self-levelling ${Math.abs(asksDeg).toFixed(1)}° of ${axis === 'roll' ? `bank to the ${pct > 0 ? 'right' : 'left'}` : `pitch ${pct > 0 ? 'up' : 'down'}`}`;
    return [{ axis, pct, asksDeg, becomes }];
  });
}
