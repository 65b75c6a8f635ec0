import { axisFunction, compileChain, stickOf } from '../chain';
import { compileSteering, lockServoDeg, steersBy, type WheelAngles } from '../linkage';
import { applyPatch, type PatchOperation } from '../patch';
import { pointer, type Setup } from '../setup';
import { learnTravel } from './travel';

/** One end of the steering, from the hand to the stop. */
export interface SteeringEnd {
  to: 'left' | 'right';
  /** Servo angle as the program stands with the hand at its end, towards this side. */
  servoDeg: number;
  /** Servo angle at which the steering is at its stop; undefined where the servo never gets there. */
  lockDeg: number | undefined;
  /** How far the servo is sent beyond the stop; negative where it ends short of it. */
  beyondDeg: number;
  /** How much further the servo could turn than its stop asks for. */
  reserveDeg: number;
  wheels: WheelAngles;
  /** The endpoint that reaches the stop and goes no further; undefined where none does. */
  end: { output: number; field: 'minPct' | 'maxPct'; pct: number; now: number } | undefined;
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
function atEnd(setup: Setup, hand: number): number {
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
  const { degAt500Us, limitDeg } = setup.airframe.servos[servo]!;
  const most = Math.min(limitDeg, degAt500Us * 1.5);
  const wheelsAt = compileSteering(steering);
  return (['left', 'right'] as const).map((to): SteeringEnd => {
    const way = to === 'left' ? 1 : -1;
    const hand = -100 * way;
    const servoDeg = way * atEnd(setup, hand);
    const lock = lockServoDeg(steering, most, way);
    const lockDeg = lock === undefined ? undefined : way * lock;
    const stands = way * (lockDeg === undefined ? servoDeg : Math.min(servoDeg, lockDeg));
    return {
      to,
      servoDeg,
      lockDeg,
      beyondDeg: lockDeg === undefined ? servoDeg - most : servoDeg - lockDeg,
      reserveDeg: lockDeg === undefined ? 0 : most - lockDeg,
      wheels: wheelsAt(stands),
      end: lockDeg === undefined ? undefined : endFor(setup, hand, way, lockDeg),
    };
  });
}

/** The largest endpoint that does not send the servo past an angle. */
function endFor(setup: Setup, hand: number, way: 1 | -1, lockDeg: number): SteeringEnd['end'] {
  const step = setup.transmitter.stepPct ?? 1;
  const steps = Math.round(150 / step);
  for (const [output, own] of setup.program.outputs.entries())
    for (const field of ['minPct', 'maxPct'] as const) {
      const sign = field === 'minPct' ? -1 : 1;
      const pctOf = (n: number) => sign * Number((n * step).toFixed(2));
      const reached = (n: number) =>
        way * atEnd(applyPatch(setup, [endPatch({ output, field, pct: pctOf(n) })]) as Setup, hand);
      if (!(reached(steps) > reached(0) + 1)) continue;
      if (reached(steps) < lockDeg) return undefined;
      let [under, over] = [0, steps];
      while (over - under > 1) {
        const middle = (under + over) >> 1;
        if (reached(middle) <= lockDeg) under = middle;
        else over = middle;
      }
      return { output, field, pct: pctOf(under), now: own[field] };
    }
  return undefined;
}

const endPatch = (end: { output: number; field: string; pct: number }): PatchOperation => ({
  op: 'replace',
  path: pointer('program', 'outputs', end.output, end.field),
  value: end.pct,
});

/**
 * Both ends set so that the stop is reached exactly; a unit that learns its ends is to be taught these.
 * What was seen of its teaching goes stale by that.
 */
export function setSteeringEnds(setup: Setup): PatchOperation[] {
  const patch = steeringEnds(setup).flatMap(({ end }) => (end ? [endPatch(end)] : []));
  if (patch.length === 0 || !setup.installation.travelCapture) return patch;
  const value = learnTravel(applyPatch(setup, patch) as Setup);
  return [...patch, { op: 'replace', path: '/installation/travelCapture', value }];
}
