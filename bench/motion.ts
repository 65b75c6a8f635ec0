import {
  BATCH,
  ending,
  play,
  readyToFly,
  situationOf,
  STEPS,
  type Steps,
} from '../src/core/motion';
import { makeSetup } from '../tests/kit/setups';

/** How many times quicker than the air a minute of gusty flight is flown, the chain and the body closed. */
function motionRatio(steps: Steps): number {
  const setup = makeSetup();
  const made = { ...situationOf(setup, 'hands-off'), wind: { turbulenceMps: 0.5 }, seconds: 60 };
  const ready = readyToFly(setup);
  if (!ready.ok) throw new Error(ready.reason);
  const fly = () => {
    const end = ending(0.1);
    play(ready.pilot, made, [end], steps);
    return end.answer().seconds;
  };
  fly();
  const start = performance.now();
  const flown = fly() + fly();
  return flown / ((performance.now() - start) / 1000);
}

export function motionRatios(): void {
  const many = motionRatio(BATCH);
  const one = motionRatio(STEPS);
  console.log(`flight / real time, steps of 10 ms: ${many.toFixed(0)} ×   (aim ≥ 600)`);
  console.log(`flight / real time, steps of 5 ms: ${one.toFixed(0)} ×`);
}
