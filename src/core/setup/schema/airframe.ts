import { z } from 'zod';
import { LinkageSchema, SteeringSchema } from '../../linkage/schema';
import { SURFACE_ROLES } from '../lists';
import { AngleDegSchema, IdSchema, LabelSchema, PulseUsSchema } from './basics';
import { FunctionSchema } from './functions';
import { AIRFRAME_KINDS } from '../kinds';

const OffsetMmSchema = z.number().min(-5000).max(5000);

/**
 * Where the middle of a part's hinge is, from the balance point in ISO 1151-1 axes, and how its hinge lies.
 * Nothing where nobody has said: then it is where the drawing of its kind has it.
 */
export const PlaceSchema = z.strictObject({
  forwardMm: OffsetMmSchema,
  rightMm: OffsetMmSchema,
  downMm: OffsetMmSchema,
  /** Of the hinge out of level, outward end up: 0 lies flat, 90 stands upright, −35 is half of a V upside down. */
  tiltDeg: z.number().min(-90).max(90),
  /** Length of the hinge. */
  spanMm: z.number().min(5).max(5000),
});

/** Where a motor is, from the balance point, and how its thrust line lies; straight ahead where both angles are 0. */
export const MotorPlaceSchema = z.strictObject({
  forwardMm: OffsetMmSchema,
  rightMm: OffsetMmSchema,
  downMm: OffsetMmSchema,
  upDeg: z.number().min(-90).max(90),
  rightDeg: z.number().min(-180).max(180),
});

/** A further servo on the same part, by a rod of its own. */
export const GangedSchema = z.strictObject({ servo: IdSchema, linkage: LinkageSchema });

export const SurfaceSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  role: z.enum(SURFACE_ROLES),
  side: z.enum(['left', 'right', 'centre']),
  servo: IdSchema,
  linkage: LinkageSchema,
  /** Width of the moving part, leading hinge to trailing edge: turns degrees into millimetres. */
  chordMm: z.number().min(3).max(1000),
  place: PlaceSchema.optional(),
  /** Servos that move it together with `servo`: each must turn it as far as that one does. */
  ganged: z.array(GangedSchema).min(1).max(3).optional(),
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
  place: MotorPlaceSchema.optional(),
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

export type { Linkage, Steering } from '../../linkage/schema';
export type Place = z.infer<typeof PlaceSchema>;
export type Surface = z.infer<typeof SurfaceSchema>;
export type Servo = z.infer<typeof ServoSchema>;
export type MotorPlace = z.infer<typeof MotorPlaceSchema>;
export type Motor = z.infer<typeof MotorSchema>;
export type Measures = z.infer<typeof MeasuresSchema>;
export type Airframe = z.infer<typeof AirframeSchema>;
