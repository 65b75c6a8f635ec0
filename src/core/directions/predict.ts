import {
  STICK_ASKS,
  axisFunction,
  compileChain,
  movementOf,
  stickOf,
  type Chain,
  type Movement,
  type Stimulus,
} from '../chain';
import type { Mode, Setup } from '../setup';
import { checksFor, type Check } from './checks';
import { armedMemory, poseFor, type Pose } from './pose';

/** How fast the hand turns the model in a direction check, degrees a second. */
const HAND_RATE_DEG_S = 120;
/** How far it is tipped to see self-levelling. */
const HAND_TILT_DEG = 45;

/** The mode a correction is looked at in: damping shows direction best, then the others. */
export const CORRECTION_MODES: readonly Mode[] = [
  'rate',
  'hold',
  'hover',
  'trainer',
  'level',
  'home',
];

/** What the hands do for a check, as a stimulus for the chain. */
export function stimulusFor(chain: Chain, check: Check, pose: Pose | undefined): Stimulus {
  const stimulus = chain.restStimulus();
  if (pose) stimulus.controls.set(pose.controls);
  if (check.kind === 'stick') {
    const at = stickOf(chain.setup.transmitter, axisFunction(chain.setup, check.axis));
    if (at >= 0) stimulus.controls[at] = 100 * check.sense * STICK_ASKS[check.axis];
    return stimulus;
  }
  const levelling = pose?.mode === 'level' || pose?.mode === 'home' || pose?.mode === 'trainer';
  const rate = check.sense * HAND_RATE_DEG_S;
  if (check.axis === 'roll') {
    if (levelling) stimulus.rollDeg = check.sense * HAND_TILT_DEG * 2;
    else stimulus.rollRateDegPerS = rate;
  } else if (check.axis === 'pitch') {
    if (levelling) stimulus.pitchDeg = check.sense * HAND_TILT_DEG * 1.5;
    else stimulus.pitchRateDegPerS = rate;
  } else stimulus.yawRateDegPerS = rate;
  return stimulus;
}

/** Surface angles in one check, by surface id. */
export type Prediction = ReadonlyMap<string, { deg: number; movement: Movement }>;

/** What the chain says every surface does in every check: sticks with the unit off. */
export function predictAll(setup: Setup, checks = checksFor(setup)): Map<string, Prediction> {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const off = poseFor(chain, ['off', 'rate', 'hold']);
  const on = poseFor(chain, CORRECTION_MODES);
  const result = new Map<string, Prediction>();
  for (const check of checks) {
    const pose = check.kind === 'stick' ? off : on;
    // What stands at rest (subtrim, trim, level offset) is not movement.
    const still = chain.restStimulus();
    if (pose) still.controls.set(pose.controls);
    chain.step(still, armedMemory(chain), frame);
    const before = frame.surfaceDeg.slice();
    chain.step(stimulusFor(chain, check, pose), armedMemory(chain), frame);
    const surfaces = new Map<string, { deg: number; movement: Movement }>();
    setup.airframe.surfaces.forEach((surface, i) => {
      const deg = frame.surfaceDeg[i]! - before[i]!;
      surfaces.set(surface.id, { deg, movement: movementOf(surface, deg) });
    });
    result.set(check.id, surfaces);
  }
  return result;
}
