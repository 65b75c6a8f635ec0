import { z } from 'zod';
import { CONTROL_KINDS, ENTRY_STYLES, MENU_ITEMS } from '../lists';
import { ChannelSchema, IdSchema, LabelSchema, NoteSchema } from './basics';
import { FunctionSchema } from './functions';

/**
 * One thing a hand can move. Values run −100…+100: a stick right or away from you is positive; a
 * switch counts from its far position (−100) to the near one (+100); a momentary is −100 released.
 */
export const ControlSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  kind: z.enum(CONTROL_KINDS),
  /** Value when nobody touches it, as it lies in the case. */
  rest: z.number().min(-100).max(100),
  /** For sticks and trims: the function the hand expects. */
  hand: FunctionSchema.optional(),
  /** Where it sits on the front, in percent from the left and from the top. For the drawing only. */
  at: z.strictObject({ x: z.number().min(0).max(100), y: z.number().min(0).max(100) }).optional(),
});

export const TransmitterSchema = z.strictObject({
  name: LabelSchema,
  description: NoteSchema,
  style: z.enum(ENTRY_STYLES),
  channels: z.int().min(2).max(32),
  /** Channels that can carry a switch but no proportional control. */
  switchOnly: z.array(ChannelSchema).max(8),
  /** How many positions such a channel tells apart; three where nothing is said. */
  switchOnlyPositions: z.union([z.literal(2), z.literal(3)]).optional(),
  /** What such a channel can do when the signal is lost; a preset too where nothing is said. */
  switchOnlyLost: z.enum(['preset', 'hold']).optional(),
  /** What the hands are on; two sticks where nothing is said. */
  hands: z.enum(['sticks', 'wheel-and-trigger']).optional(),
  /** Which sticks work what: 1 elevator left, 2 throttle and rudder left, 3 as 2 with sides changed, 4 as 1 with sides changed. */
  stickMode: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]).optional(),
  pulse: z.strictObject({
    centreUs: z.number().min(1400).max(1600),
    usAt100: z.number().min(300).max(600),
  }),
  frameMs: z.number().min(4).max(40),
  /** What a percentage is entered in steps of; whole percent where nothing is said. */
  stepPct: z.union([z.literal(1), z.literal(0.5), z.literal(0.1)]).optional(),
  defaultOrder: z.array(FunctionSchema).min(1).max(8),
  /** The throttle channel is already reversed inside, whatever the menu says. */
  throttleReversedInside: z.boolean(),
  controls: z.array(ControlSchema).min(1).max(48),
  linkVariants: z
    .array(z.strictObject({ id: IdSchema, label: LabelSchema, channels: z.int().min(1).max(32) }))
    .min(1)
    .max(6),
  link: IdSchema,
  /** What its menus call what is entered in them. */
  menu: z
    .array(z.strictObject({ item: z.enum(MENU_ITEMS), word: LabelSchema }))
    .min(1)
    .max(MENU_ITEMS.length)
    .optional(),
});

export type Control = z.infer<typeof ControlSchema>;
export type Transmitter = z.infer<typeof TransmitterSchema>;
