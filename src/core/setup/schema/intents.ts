import { z } from 'zod';
import { FAILSAFE_SCHOOLS, PANIC_WAYS, SEAT_PLACES, SEAT_TILTS, WISHES } from '../lists';
import { ChannelSchema, IdSchema, ModeSchema, ShareSchema } from './basics';
import { FunctionSchema } from './functions';
import { DeviceWishSchema, MixSchema } from './mixes';

/** Which mode each position of the mode switch, or each pair of positions of two, stands for. */
export const ModeWishSchema = z.strictObject({
  switches: z.array(IdSchema).min(1).max(2),
  /** From the far position on; with two switches the second counts faster. */
  table: z.array(ModeSchema).min(1).max(9),
});

const SignedShareSchema = z.number().min(-100).max(100);

/** By what hand the gain is set. */
export const GainWishSchema = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('knob'),
    control: IdSchema,
    /** Off in the middle, one kind of response on each side: where the sign chooses the set. */
    middleOff: z.boolean().optional(),
  }),
  /** A share of full gain for each position of a switch; below 0 where the sign chooses the set. */
  z.strictObject({
    by: z.literal('values'),
    control: IdSchema,
    pct: z.array(SignedShareSchema).min(2).max(3),
  }),
  /** A share for each flap position, and a switch that turns all of it off. */
  z.strictObject({
    by: z.literal('flap'),
    control: IdSchema,
    pct: z.array(ShareSchema).min(2).max(3),
    off: IdSchema,
    /** Of three positions one or two may be off. */
    offPositions: z.array(z.int().min(0).max(2)).min(1).max(2),
  }),
  /** A knob for each axis, on tuning channels. */
  z.strictObject({
    by: z.literal('axes'),
    roll: IdSchema.optional(),
    pitch: IdSchema.optional(),
    yaw: IdSchema.optional(),
  }),
  /** A switch chooses the side of the middle, a knob (or a share) how far from it. */
  z.strictObject({
    by: z.literal('sets'),
    control: IdSchema,
    knob: IdSchema.optional(),
    pct: ShareSchema,
  }),
  z.strictObject({ by: z.literal('fixed'), pct: ShareSchema }),
]);

const rate = {
  pct: z.number().min(10).max(150),
  expoPct: z.number().min(-100).max(100),
};

/** How much of the throw a stick asks for. */
export const RatesWishSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('one'), ...rate }),
  /** One pair in off mode and another in all others. */
  z.strictObject({ by: z.literal('mode'), off: z.strictObject(rate), on: z.strictObject(rate) }),
  /** A pair for each position of a switch of its own. */
  z.strictObject({
    by: z.literal('switch'),
    control: IdSchema,
    at: z.array(z.strictObject(rate)).min(2).max(3),
  }),
]);

/** The transmitter's program in the person's terms: every entry that is not the person's own is written from it. */
export const ProgramWishesSchema = z.strictObject({
  modes: ModeWishSchema.optional(),
  gain: GainWishSchema.optional(),
  /** The gain stays at off, whatever sets it, until chassis or hull are right. */
  lock: z.strictObject({ until: z.literal('chassis') }).optional(),
  rates: RatesWishSchema,
  /** The first push of the trigger away only brakes, the next one reverses; 0 stops the motor and no more. */
  reverse: z.strictObject({ brakePct: ShareSchema }).optional(),
  panic: z
    .strictObject({
      way: z.enum(PANIC_WAYS),
      control: IdSchema.optional(),
      /** Held this long before it acts, so that a brush does nothing. */
      holdS: z.number().min(0).max(5),
      /** Gain sent while it acts, whatever the knob says. */
      gainPct: ShareSchema.optional(),
    })
    .optional(),
  failsafe: z
    .strictObject({
      school: z.enum(FAILSAFE_SCHOOLS),
      /** Where the steering of a car or boat goes, percent of its way, right positive; kept as it is where nothing is said. */
      steerPct: z.number().min(-100).max(100).optional(),
      pitchDeg: z.number().min(-45).max(45),
      rollDeg: z.number().min(-60).max(60),
    })
    .optional(),
  cut: z.strictObject({ control: IdSchema, position: z.int().min(0).max(2) }).optional(),
  launch: z
    .strictObject({
      control: IdSchema,
      holdS: z.number().min(0).max(5),
      /** Up elevator, percent of full. */
      elevatorPct: ShareSchema,
      /** Stick movement that releases it. */
      releasePct: z.number().min(2).max(80),
      /** A trim lever that shifts the elevator by up to 20 %. */
      adjust: IdSchema.optional(),
    })
    .optional(),
  flaps: z
    .strictObject({
      control: IdSchema,
      /** How far down, percent of full, from the far position on; of a slider at its two ends. */
      downPct: z.array(ShareSchema).min(2).max(3),
      /** From up to down, where they are to move slowly. */
      seconds: z.number().min(0).max(30).optional(),
    })
    .optional(),
  gear: z
    .strictObject({ control: IdSchema, seconds: z.number().min(0).max(30).optional() })
    .optional(),
  brake: z.strictObject({ control: IdSchema }).optional(),
  /** One of a kind. */
  mixes: z.array(MixSchema).min(1).max(8).optional(),
  /** One for each device the model has. */
  devices: z.array(DeviceWishSchema).min(1).max(8).optional(),
  /** Takes a capture channel off and on its middle. */
  capture: z.strictObject({ control: IdSchema }).optional(),
  voice: z
    .strictObject({
      /** The mode by its name, and the gain with it where there is a gain channel. */
      modes: z.boolean(),
      /** The gain channel’s value whenever it has been moved. */
      gainMoved: z.boolean().optional(),
    })
    .optional(),
  timer: z.strictObject({ minutes: z.number().min(0.5).max(120) }).optional(),
});

/** What the person wants; the planner makes the program from it. */
export const IntentsSchema = z.strictObject({
  school: z.enum(['sticks-first', 'unit-first']),
  /** Where the unit is mounted and how level, by the person's school; anywhere square where nothing is said. */
  seat: z
    .strictObject({
      place: z.enum(SEAT_PLACES).optional(),
      tilt: z.enum(SEAT_TILTS).optional(),
    })
    .optional(),
  /** Who mixes a delta, a V-tail or flaperons, where the unit leaves the choice. */
  mixer: z.enum(['unit', 'transmitter']).optional(),
  wishes: z.array(FunctionSchema).max(16),
  /** Channels the person has fixed by hand. */
  pins: z.array(z.strictObject({ carries: FunctionSchema, channel: ChannelSchema })).max(32),
  program: ProgramWishesSchema,
  /** Differences between a choice and the program that the person has looked at and keeps. */
  kept: z
    .array(z.strictObject({ choice: z.enum(WISHES), difference: z.string().max(64) }))
    .max(WISHES.length)
    .optional(),
});

export type ProgramWishes = z.infer<typeof ProgramWishesSchema>;
export type ModeWish = z.infer<typeof ModeWishSchema>;
export type RatesWish = z.infer<typeof RatesWishSchema>;
export type GainWish = z.infer<typeof GainWishSchema>;
export { MIX_IDS, type DeviceWish, type Mix, type MixId } from './mixes';
export type Intents = z.infer<typeof IntentsSchema>;
