import { z } from 'zod';
import { IdSchema, MountingSchema, PulseUsSchema, SenseSchema } from './basics';
import { FunctionSchema } from './functions';

/** One lead in one plug. A Y-lead carries the same signal to two servos or motors. */
export const PlugSchema = z.strictObject({
  port: IdSchema,
  lead: z.enum(['plain', 'y-lead']),
  drives: z.array(IdSchema).min(1).max(8),
});

/** What the unit learned from moving the sticks through their range. */
export const TravelCaptureSchema = z.array(
  z.strictObject({
    carries: FunctionSchema,
    minUs: PulseUsSchema,
    centreUs: PulseUsSchema,
    maxUs: PulseUsSchema,
    /** For units that take correction direction from the sticks. */
    sense: SenseSchema,
  }),
);

/** Counters of physical events: each one makes the checks that depend on it stale. */
export const RevisionsSchema = z.strictObject({
  servoReplaced: z.int().min(0),
  linkageChanged: z.int().min(0),
  unitMoved: z.int().min(0),
  crash: z.int().min(0),
  unitFirmware: z.int().min(0),
  unitReset: z.int().min(0),
  transmitterFirmware: z.int().min(0),
  radioModule: z.int().min(0),
  trimsMoved: z.int().min(0).optional(),
});

export const InstallationSchema = z.strictObject({
  /** How the unit really sits, whatever its own setting says. */
  mounting: MountingSchema,
  /** Small errors of fitting, as rotations about the body axes. */
  skewDeg: z.strictObject({
    roll: z.number().min(-45).max(45),
    pitch: z.number().min(-45).max(45),
    yaw: z.number().min(-45).max(45),
  }),
  /** Sensor from centre of gravity: x forward, y right, z down. */
  positionMm: z.strictObject({
    x: z.number().min(-3000).max(3000),
    y: z.number().min(-3000).max(3000),
    z: z.number().min(-3000).max(3000),
  }),
  plugs: z.array(PlugSchema).max(24),
  gainLead: z.boolean(),
  /** What the monitor showed for the gain channel when its lead was pulled. */
  gainLeadLastPct: z.number().min(-150).max(150).optional(),
  /** The receiver a unit sits behind: what it does when the signal is lost, and whether the unit hears of it. */
  receiver: z
    .strictObject({
      lost: z.enum(['presets', 'holds', 'no-pulses']),
      tellsUnit: z.boolean(),
    })
    .optional(),
  unitHardware: z.string().max(60),
  unitFirmware: z.string().max(60),
  transmitterFirmware: z.string().max(60),
  secondHand: z.boolean(),
  travelCapture: TravelCaptureSchema.max(16).optional(),
  /** Attitude the model lay at when level was captured, nose up positive. */
  levelCapture: z.strictObject({ pitchDeg: z.number().min(-60).max(60) }).optional(),
  revisions: RevisionsSchema,
});

export type Plug = z.infer<typeof PlugSchema>;
export type Installation = z.infer<typeof InstallationSchema>;
