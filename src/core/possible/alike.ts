import { compileChain, placesOf, type Chain, type Frame, type Stimulus } from '../chain';
import { randomOf } from '../dice';
import type { Setup } from '../setup';

/** Moments looked at: hands, attitudes, time and signal by chance, but the same ones every time. */
const MOMENTS = 1500;
/** More than rounding. */
const SAME = 1e-6;

/**
 * Whether two Setups with the same transmitter and program do the same in many moments, the chain of each played side by
 * side. A sample: a difference that shows in none of them is missed.
 */
export function behaveAlike(a: Setup, b: Setup): boolean {
  const [one, other] = [sideOf(a), sideOf(b)];
  const random = randomOf(20261130);
  const controls = a.transmitter.controls.map((control) => {
    const places = placesOf(control.kind).map(([, value]) => value);
    return places.length > 0 ? places : [-100, -50, control.rest, 50, 100];
  });
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const { stimulus } = one;
  for (let i = 0; i < MOMENTS; i++) {
    const at = Math.floor(random() * controls.length);
    stimulus.controls[at] = random() < 0.2 ? 200 * random() - 100 : pick(controls[at]!);
    stimulus.linkUp = random() > 0.06;
    stimulus.positionFix = random() > 0.1;
    stimulus.rollDeg = pick([0, 0, 20, -20, 80]);
    stimulus.pitchDeg = pick([0, 0, 15, -15, 60]);
    stimulus.rollRateDegPerS = pick([0, 0, 90, -90]);
    stimulus.pitchRateDegPerS = pick([0, 0, 90, -90]);
    stimulus.yawRateDegPerS = pick([0, 0, 90, -90]);
    stimulus.dtS = pick([0.02, 0.02, 0.3, 3]);
    one.chain.step(stimulus, one.memory, one.frame);
    other.chain.step(stimulus, other.memory, other.frame);
    if (!sameFrame(one.frame, other.frame)) return false;
  }
  return true;
}

function sideOf(setup: Setup): {
  chain: Chain;
  stimulus: Stimulus;
  frame: Frame;
  memory: ReturnType<Chain['newMemory']>;
} {
  const chain = compileChain(setup);
  return {
    chain,
    stimulus: chain.restStimulus(),
    frame: chain.newFrame(),
    memory: chain.newMemory(),
  };
}

/** Alike in everything that goes out of the unit, and in what it thinks it is doing. */
function sameFrame(a: Frame, b: Frame): boolean {
  if (
    a.mode !== b.mode ||
    a.armed !== b.armed ||
    a.recovering !== b.recovering ||
    a.unitDrives !== b.unitDrives ||
    a.throttleRefused !== b.throttleRefused
  )
    return false;
  return near(a.portsUs, b.portsUs) && near(a.gainPct, b.gainPct) && near(a.motorPct, b.motorPct);
}

function near(a: Float64Array, b: Float64Array): boolean {
  for (let i = 0; i < a.length; i++)
    if (!(Math.abs(a[i]! - b[i]!) <= SAME || (Number.isNaN(a[i]!) && Number.isNaN(b[i]!))))
      return false;
  return true;
}
