import { z } from 'zod';
import { SURFACE_ROLES } from '../lists';
import { AngleDegSchema, IdSchema, LabelSchema, PulseUsSchema } from './basics';
import { FunctionSchema } from './functions';
import { AIRFRAME_KINDS } from '../kinds';

/** Rod from servo arm to surface horn, as a plane four-bar. Angles are at servo centre. */
export const LinkageSchema = z.strictObject({
  armMm: z.number().min(2).max(100),
  hornMm: z.number().min(2).max(100),
  rodMm: z.number().min(5).max(1500),
  /** How far the arm stands off square to the rod. */
  armOffsetDeg: z.number().min(-60).max(60),
  /** How far the horn stands off square to the rod. */
  hornOffsetDeg: z.number().min(-60).max(60),
  /** 'same': a longer pulse to an unreversed servo moves the trailing edge down (or left). */
  sense: z.enum(['same', 'opposite']),
});

export const SurfaceSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  role: z.enum(SURFACE_ROLES),
  side: z.enum(['left', 'right', 'centre']),
  servo: IdSchema,
  linkage: LinkageSchema,
  /** Width of the moving part, leading hinge to trailing edge: turns degrees into millimetres. */
  chordMm: z.number().min(3).max(1000),
});

export const ServoSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  /** What its lead must carry; the plug it sits in is in the installation. */
  carries: FunctionSchema,
  rotation: z.enum(['normal', 'reversed']),
  /** Whether it can be reversed after the unit (programmable servo, or moved to the other side). */
  reversible: z.boolean(),
  degAt500Us: z.number().min(10).max(120),
  limitDeg: z.number().min(10).max(120),
  secondsPer60Deg: z.number().min(0.01).max(2),
  pulse: z.enum(['analog', 'digital']),
});

export const MotorSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  carries: FunctionSchema,
  power: z.enum(['electric', 'engine']),
  /** Pulses at which it stands still and at which it runs full, as taught to its controller. */
  stopUs: PulseUsSchema,
  fullUs: PulseUsSchema,
  /** What the speed controller does below stop; nothing where nothing is said. */
  reverse: z.enum(['brakes', 'brakes-then-reverses', 'reverses']).optional(),
});

export const MeasuresSchema = z.strictObject({
  spanMm: z.number().min(50).max(10_000),
  lengthMm: z.number().min(50).max(10_000),
  chordMm: z.number().min(10).max(3000),
  massG: z.number().min(5).max(100_000),
  cruiseMps: z.number().min(1).max(120),
  approachMps: z.number().min(0.5).max(80),
  glideRatio: z.number().min(0.5).max(60),
  stance: z.enum(['nose-wheel', 'tail-wheel', 'floats', 'skis', 'belly', 'wheels', 'hull']),
  /** Distance between the supports it stands on, fore and aft. */
  wheelbaseMm: z.number().min(20).max(5000),
  trackMm: z.number().min(10).max(5000),
  /** Pitch when standing on its own gear, nose up positive. */
  standingPitchDeg: AngleDegSchema,
  /** Pitch in level flight at cruise, nose up positive. */
  flyingPitchDeg: z.number().min(-20).max(30),
});

/**
 * The steering of a car from above, straight ahead: servo arm, what carries the inner balls of the
 * two tie rods, and the knuckles. Alike on both sides.
 */
export const SteeringSchema = z.strictObject({
  /** What moves the inner balls: the servo arm itself, a bell-crank worked by it, or a rack. */
  by: z.enum(['arm', 'bell-crank', 'rack']),
  armMm: z.number().min(4).max(80),
  /** From the servo arm to the crank or the rack, ball to ball. */
  linkMm: z.number().min(8).max(400),
  /** The arm of the crank that is worked, and the one that carries the tie rods. */
  crankInMm: z.number().min(4).max(80),
  crankOutMm: z.number().min(4).max(80),
  /** Between the two inner balls. */
  innerMm: z.number().min(0).max(400),
  /** How far the inner balls are in front of the line through the outer ones. */
  aheadMm: z.number().min(-60).max(60),
  kingpinMm: z.number().min(30).max(800),
  knuckleMm: z.number().min(5).max(80),
  /** Which way the knuckle arms point from the kingpins, and how far inward. */
  knuckles: z.enum(['behind', 'ahead']),
  knuckleDeg: z.number().min(-45).max(45),
  /** Where the steering meets its stop: angle of the inner wheel, turned left and turned right. */
  lockLeftDeg: z.number().min(5).max(60),
  lockRightDeg: z.number().min(5).max(60),
  /** Each wheel, pointing in. */
  toeDeg: z.number().min(-5).max(5),
  /** Free play at the wheel, from one side to the other. */
  slopDeg: z.number().min(0).max(15),
});

export const AirframeSchema = z.strictObject({
  kind: z.enum(AIRFRAME_KINDS),
  measures: MeasuresSchema,
  /** Measures nobody has taken yet: they are the usual ones of its kind. */
  assumed: z.array(MeasuresSchema.keyof()).max(12).optional(),
  surfaces: z.array(SurfaceSchema).max(24),
  servos: z.array(ServoSchema).max(24),
  motors: z.array(MotorSchema).max(4),
  /** The steering of a car, where it has been measured: the front wheels follow it, not their own rods. */
  steering: SteeringSchema.optional(),
});

export type Linkage = z.infer<typeof LinkageSchema>;
export type Steering = z.infer<typeof SteeringSchema>;
export type Surface = z.infer<typeof SurfaceSchema>;
export type Servo = z.infer<typeof ServoSchema>;
export type Motor = z.infer<typeof MotorSchema>;
export type Measures = z.infer<typeof MeasuresSchema>;
export type Airframe = z.infer<typeof AirframeSchema>;
