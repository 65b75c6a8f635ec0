import { z } from 'zod';
import { AXLE_WAYS, THRUST_WAYS } from '../lists';
import { IdSchema, ShareSchema } from './basics';

/** A mix may act in one position of a switch only; always where nothing is said. */
const only = z.strictObject({ control: IdSchema, position: z.int().min(0).max(2) });

/**
 * What is mixed on purpose, beyond what turns the model by its sticks: one entry a mix. How each is written
 * and said is in `plan/mixes`, a file a mix.
 */
export const MixSchema = z.discriminatedUnion('mix', [
  /** Ailerons up and flaps down, as brakes, by a control that rests at off; the elevator makes up for it. */
  z.strictObject({
    mix: z.literal('crow'),
    control: IdSchema,
    aileronUpPct: ShareSchema,
    flapDownPct: ShareSchema,
    /** Elevator down, percent of full, with all of it; below 0 up. */
    elevatorDownPct: z.number().min(-60).max(60),
  }),
  /** The stick that turns the model slows the motor on the inside, or runs the motors against each other. */
  z.strictObject({
    mix: z.literal('differential-thrust'),
    way: z.enum(THRUST_WAYS),
    sharePct: ShareSchema,
    only: only.optional(),
  }),
  /** Each of two rudders moves to its own side and no further in than straight: as drag. */
  z.strictObject({ mix: z.literal('outward-rudders') }),
  /** The rudder goes with the ailerons, by a share of what they are asked. */
  z.strictObject({ mix: z.literal('aileron-rudder'), sharePct: ShareSchema }),
  /** What the rear wheels do in each position of a switch. */
  z.strictObject({
    mix: z.literal('rear-axle'),
    control: IdSchema,
    at: z.array(z.enum(AXLE_WAYS)).min(2).max(3),
  }),
]);

/** Something beside the model's steering that a control works: a winch, lights, a hook. */
export const DeviceWishSchema = z.strictObject({
  /** The servo or switch it is. */
  device: IdSchema,
  control: IdSchema,
  /** What its channel sends in each position, from the far one on; of a slider at its two ends. */
  atPct: z.array(z.number().min(-100).max(100)).min(2).max(3),
  /** From one end to the other, where it is to move slowly. */
  seconds: z.number().min(0).max(30).optional(),
});

export type Mix = z.infer<typeof MixSchema>;
export type MixId = Mix['mix'];
export const MIX_IDS = MixSchema.options.map((o) => o.shape.mix.value);
export type DeviceWish = z.infer<typeof DeviceWishSchema>;
