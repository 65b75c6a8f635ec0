import { axisFunction, compileChain, servoReachDeg, stickOf } from '../chain';
import { compileSteering, lockServoDeg, steersBy, type WheelAngles } from '../linkage';
import { applyPatch, type PatchOperation } from '../patch';
import type { Setup } from '../setup';
import { around, endpoints } from './endpoint';
import { learnTravel } from './travel';

/** A servo sent this far past its stop stands against it; less is the give of the linkage. Common practice, no source. */
export const HELD_DEG = 1;
/** Short of the stop by more than this the turning circle is given away. Common practice, no source. */
export const SHORT_DEG = 3;

/** Held against the stop, short of it, at it; or a servo that never gets there. */
export type StopVerdict = 'past' | 'short' | 'at' | 'never';

/** @param beyondDeg how far the servo is sent past the stop @param lockDeg undefined where it never gets there */
export const stopVerdict = (beyondDeg: number, lockDeg: number | undefined): StopVerdict =>
  lockDeg === undefined
    ? 'never'
    : beyondDeg > HELD_DEG
      ? 'past'
      : beyondDeg < -SHORT_DEG
        ? 'short'
        : 'at';

/** One end of the steering, from the hand to the stop. */
export interface SteeringEnd {
  to: 'left' | 'right';
  /** Servo angle as the program stands with the hand at its end, towards this side. */
  servoDeg: number;
  /** Servo angle at which the steering is at its stop; undefined where the servo never gets there. */
  lockDeg: number | undefined;
  /** How far the servo is sent beyond the stop; negative where it ends short of it. */
  beyondDeg: number;
  /** What that comes to. */
  stands: StopVerdict;
  /** How much further the servo could turn than its stop asks for. */
  reserveDeg: number;
  wheels: WheelAngles;
  /** The endpoint that reaches the stop and goes no further; undefined where none does. */
  end: { pct: number; now: number; patch: PatchOperation[] } | undefined;
}

/** The servo and one wheel of the measured steering; undefined where none is measured. */
export function steeringOf({ airframe }: Setup) {
  const wheel = airframe.surfaces.find((s) => steersBy(airframe, s));
  const servo = airframe.servos.findIndex((s) => s.id === wheel?.servo);
  return airframe.steering && wheel && servo >= 0
    ? { steering: airframe.steering, wheel, servo, sense: wheel.linkage.sense === 'same' ? 1 : -1 }
    : undefined;
}

/** Servo angle towards the left, with the hand at −100 (left) or 100 (right), asked of the chain. */
function servoTowardsLeft(setup: Setup, hand: number): number {
  const found = steeringOf(setup)!;
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const at = stickOf(setup.transmitter, axisFunction(setup, 'yaw'));
  if (at >= 0) stimulus.controls[at] = hand;
  chain.step(stimulus, chain.newMemory(), frame);
  return found.sense * frame.servoDeg[found.servo]!;
}

/**
 * Both ends of the steering as the program has them, and the endpoints at which the linkage reaches
 * its lock exactly when the hand does. Which end of which channel it is, is asked of the chain.
 * @returns left, then right; nothing where no steering is measured
 */
export function steeringEnds(setup: Setup): SteeringEnd[] {
  const found = steeringOf(setup);
  if (!found) return [];
  const { steering, servo } = found;
  const most = servoReachDeg(setup.airframe.servos[servo]!);
  const wheelsAt = compileSteering(steering);
  return (['left', 'right'] as const).map((to): SteeringEnd => {
    const way = to === 'left' ? 1 : -1;
    const hand = -100 * way;
    const servoDeg = way * servoTowardsLeft(setup, hand);
    const lock = lockServoDeg(steering, most, way);
    const lockDeg = lock === undefined ? undefined : way * lock;
    const beyondDeg = servoDeg - (lockDeg ?? most);
    const stopped = way * Math.min(servoDeg, lockDeg ?? Infinity);
    return {
      to,
      servoDeg,
      lockDeg,
      beyondDeg,
      stands: stopVerdict(beyondDeg, lockDeg),
      reserveDeg: lockDeg === undefined ? 0 : most - lockDeg,
      wheels: wheelsAt(stopped),
      end: lockDeg === undefined ? undefined : endFor(setup, hand, way, lockDeg),
    };
  });
}

/** The largest endpoint that does not send the servo past an angle. */
function endFor(setup: Setup, hand: number, way: 1 | -1, lockDeg: number): SteeringEnd['end'] {
  const towards = (asked: Setup) => way * servoTowardsLeft(asked, hand);
  for (const endpoint of endpoints(setup, towards)) {
    const { figureAt, most, output, field, pctOf, patchOf } = endpoint;
    if (!(figureAt(most) > figureAt(0) + 1)) continue;
    if (figureAt(most) < lockDeg) return undefined;
    const [under] = around(endpoint, lockDeg, most);
    const now = setup.program.outputs[output]![field];
    return { pct: pctOf(under), now, patch: patchOf(under) };
  }
  return undefined;
}

/**
 * Both ends set so that the stop is reached exactly; a unit that learns its ends is to be taught these.
 * What was seen of its teaching goes stale by that.
 */
export function setSteeringEnds(setup: Setup): PatchOperation[] {
  const patch = steeringEnds(setup).flatMap(({ end }) => end?.patch ?? []);
  if (patch.length === 0 || !setup.installation.travelCapture) return patch;
  const value = learnTravel(applyPatch(setup, patch) as Setup);
  return [...patch, { op: 'replace', path: '/installation/travelCapture', value }];
}
