import { z } from 'zod';

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

/**
 * The steering of a car from above, straight ahead: servo arm, what carries the inner balls of the
 * two tie rods, and the knuckles. Alike on both sides.
 */
export const SteeringSchema = z.strictObject({
  /** What moves the inner balls: the servo arm itself, a bell-crank moved by it, or a rack. */
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

export type Linkage = z.infer<typeof LinkageSchema>;
export type Steering = z.infer<typeof SteeringSchema>;
