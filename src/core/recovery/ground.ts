import { axisFunction, compileChain, releaseCut, stickOf } from '../chain';
import { G_MPS2 } from '../level';
import { kindOf, type Airframe, type Setup } from '../setup';

/** What the ground or the water gives to stop on. */
export const GROUNDS = {
  hard: { words: 'hard dry road', grip: 0.7, rolling: 0.03 },
  loose: { words: 'gravel or dirt', grip: 0.45, rolling: 0.06 },
  ice: { words: 'ice or packed snow', grip: 0.12, rolling: 0.03 },
} as const;
export type GroundId = keyof typeof GROUNDS;

/** Motor and gears turned by the wheels slow a car down by about this; an engine at idle alike. From memory, no source. */
const DRIVE_DRAG_MPS2 = 0.8;
/** A failsafe brake asks for half of what the tyres could give. */
const BRAKE_SHARE = 0.5;
/** Lengths of its hull in which a planing boat loses two thirds of its speed. From memory, no source. */
const HULL_LENGTHS = 4;
/** Slower than this it is out of nobody's reach and in nobody's way. */
const CREEP_MPS = 0.5;
/** Turning of a hull for its rudder, of its own lengths: K′ of Nomoto (1957), about 1 for a hull that turns well. */
const NOMOTO_K = 1;

/** What is left of a run when the signal is lost at speed. */
export interface Stop {
  /** Until it stands, or creeps; metres along its path. */
  metres: number;
  seconds: number;
  /** Of the circle it goes round in, where the steering is held over; Infinity straight on. */
  radiusM: number;
  /** The turn asks for more than the tyres hold: it slides wide. */
  slides: boolean;
}

/**
 * A car: constant deceleration, s = v²/2a; the circle by the geometry of the axles, R = wheelbase/tan δ
 * (Gillespie), as long as v²/R stays within the grip. A boat: drag grows with v², so v falls as
 * v₀·e^(−s/L), the circle R = length/(K′·δ) (Nomoto, 1957). Figures of drag are planning aids.
 * @param fromMps speed at which the signal is lost, over 0 @param brakes whether the brake goes on
 * @param steeredDeg angle at which the wheel or rudder is held
 */
export function stopOf(
  { kind, measures }: Pick<Airframe, 'kind' | 'measures'>,
  fromMps: number,
  { brakes, steeredDeg, ground }: { brakes: boolean; steeredDeg: number; ground: GroundId },
): Stop {
  const delta = (Math.abs(steeredDeg) * Math.PI) / 180;
  const turns = delta > 0.01;
  if (kindOf({ kind }).moves === 'water') {
    const length = measures.lengthMm / 1000;
    const decay = HULL_LENGTHS * length;
    const metres = fromMps <= CREEP_MPS ? 0 : decay * Math.log(fromMps / CREEP_MPS);
    return {
      metres,
      // dv/dt = −v²/L
      seconds: fromMps <= CREEP_MPS ? 0 : decay * (1 / CREEP_MPS - 1 / fromMps),
      radiusM: turns ? length / (NOMOTO_K * delta) : Infinity,
      slides: false,
    };
  }
  const { grip, rolling } = GROUNDS[ground];
  const slows = brakes
    ? Math.max(BRAKE_SHARE * 0.7 * G_MPS2, DRIVE_DRAG_MPS2)
    : DRIVE_DRAG_MPS2 + rolling * G_MPS2;
  // No more than the tyres give, whatever the brake asks for.
  const a = Math.min(slows, grip * G_MPS2);
  const radiusM = turns ? measures.wheelbaseMm / 1000 / Math.tan(delta) : Infinity;
  return {
    metres: fromMps ** 2 / (2 * a),
    seconds: fromMps / a,
    radiusM,
    slides: turns && fromMps ** 2 / radiusM > grip * G_MPS2,
  };
}

/** What the link going at full throttle leaves a car or boat with, as the chain has it. */
export interface LostOnGround {
  /** Percent of full at which the motor goes on. */
  motorPct: number;
  brakes: boolean;
  /** Angle at which the steering is left when it was straight, and when it was hard over to the right. */
  straightDeg: number;
  hardOverDeg: number;
}

/** Asks the chain: full throttle, steering straight and then hard over, the link cut. */
export function lostOnGround(setup: Setup): LostOnGround {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const throttle = stickOf(setup.transmitter, 'throttle');
  const steering = stickOf(setup.transmitter, axisFunction(setup, 'yaw'));
  const after = (steer: number) => {
    const stimulus = chain.restStimulus();
    const memory = chain.newMemory();
    if (throttle >= 0) stimulus.controls[throttle] = 100;
    if (steering >= 0) stimulus.controls[steering] = steer;
    releaseCut(setup, stimulus.controls);
    chain.step(stimulus, memory, frame);
    stimulus.linkUp = false;
    chain.step(stimulus, memory, frame);
    const turned = setup.airframe.surfaces.map((_, i) => frame.surfaceDeg[i]!);
    return turned.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
  };
  const straightDeg = after(0);
  const [motor] = setup.airframe.motors;
  const plug = motor && setup.installation.plugs.find((p) => p.drives.includes(motor.id));
  const port = setup.unit.traits.ports.findIndex((p) => p.id === plug?.port);
  const us = port < 0 ? NaN : frame.portsUs[port]!;
  const pastStop = motor ? (us - motor.stopUs) / (motor.fullUs - motor.stopUs) : 0;
  return {
    motorPct: Math.max(0, ...frame.motorPct),
    brakes: pastStop < -0.1 && motor?.reverse !== undefined && motor.reverse !== 'reverses',
    straightDeg,
    hardOverDeg: after(100),
  };
}
