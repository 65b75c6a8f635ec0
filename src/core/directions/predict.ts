import {
  STICK_ASKS,
  axisFunction,
  compileChain,
  heldIn,
  movementOf,
  stickOf,
  type Chain,
  type Movement,
  type Stimulus,
} from '../chain';
import type { BenchState } from '../script';
import type { Mode, Setup } from '../setup';
import { HAND_TILT_DEG, checksFor, type Check } from './checks';
import { armedMemory, handsOf, type Hands, type Pose } from './pose';

/** How fast the hand turns the model in a direction check, degrees a second. */
const HAND_RATE_DEG_S = 120;
/** How long it takes to turn it before it is held there. */
const TURN_S = 0.4;

/** The control positions a check is made with. */
export function poseOf(hands: Hands, check: Check): Pose | undefined {
  return check.kind === 'stick'
    ? hands.stick
    : hands.corrections.find((p) => p.mode === check.mode);
}

/** The mode a check is made in, where the controls decide it. */
export const modeOf = (setup: Setup, check: Check): Mode | undefined =>
  poseOf(handsOf(setup), check)?.mode;

/** What the hands do for a check, one after another, as stimuli for the chain; looked at in the last. */
export function movesFor(chain: Chain, check: Check, pose: Pose | undefined): Stimulus[] {
  const stimulus = chain.restStimulus();
  if (pose) stimulus.controls.set(pose.controls);
  if (check.kind === 'stick') {
    const at = stickOf(chain.setup.transmitter, axisFunction(chain.setup, check.axis));
    if (at >= 0) stimulus.controls[at] = 100 * check.sense * STICK_ASKS[check.axis];
    return [stimulus];
  }
  const rate = check.sense * HAND_RATE_DEG_S;
  const key = `${check.axis}RateDegPerS` as const;
  if (check.way === 'quick') return [{ ...stimulus, [key]: rate }];
  const tipped = { ...stimulus };
  if (check.axis === 'roll') tipped.rollDeg = check.sense * HAND_TILT_DEG.roll;
  else if (check.axis === 'pitch') tipped.pitchDeg = check.sense * HAND_TILT_DEG.pitch;
  return [{ ...stimulus, [key]: rate, dtS: TURN_S }, tipped];
}

/**
 * How transmitter and model stand in a check, everything else at rest; a quick turn is watched while
 * it turns, and begins level.
 */
export function stateOf(setup: Setup, check: Check): BenchState {
  const chain = compileChain(setup);
  const { controls, rollDeg, pitchDeg } = movesFor(chain, check, poseOf(handsOf(setup), check)).at(
    -1,
  )!;
  return {
    controls: heldIn(setup, controls),
    ...(rollDeg || pitchDeg ? { attitudeDeg: { roll: rollDeg, pitch: pitchDeg } } : {}),
  };
}

/** Surface angles in one check, by surface id. */
export type Prediction = ReadonlyMap<string, { deg: number; movement: Movement }>;

/** How the model stands beyond its Setup while it is checked. */
export interface Circumstances {
  armed: boolean;
  positionFix: boolean;
}
const USUAL: Circumstances = { armed: true, positionFix: true };

/**
 * What the chain says every surface does in every check.
 * @param checks @param hands as asked of the person: of another Setup where the model is not as
 * written down, since the person follows what is written
 */
export function predictAll(
  setup: Setup,
  checks = checksFor(setup),
  hands = handsOf(setup),
  { armed, positionFix } = USUAL,
): Map<string, Prediction> {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const result = new Map<string, Prediction>();
  const memory = () => (armed ? armedMemory(chain) : chain.newMemory());
  // What stands at rest (subtrim, trim, level offset) is not movement.
  const resting = new Map<Pose | undefined, Float64Array>();
  const atRest = (pose: Pose | undefined) => {
    const found = resting.get(pose);
    if (found) return found;
    const still = { ...chain.restStimulus(), positionFix };
    if (pose) still.controls.set(pose.controls);
    chain.step(still, memory(), frame);
    const angles = frame.surfaceDeg.slice();
    resting.set(pose, angles);
    return angles;
  };
  for (const check of checks) {
    const pose = poseOf(hands, check);
    const before = atRest(pose);
    const used = memory();
    for (const move of movesFor(chain, check, pose))
      chain.step({ ...move, positionFix }, used, frame);
    const surfaces = new Map<string, { deg: number; movement: Movement }>();
    setup.airframe.surfaces.forEach((surface, i) => {
      const deg = frame.surfaceDeg[i]! - before[i]!;
      surfaces.set(surface.id, { deg, movement: movementOf(surface, deg) });
    });
    result.set(check.id, surfaces);
  }
  return result;
}
