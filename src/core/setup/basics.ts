import { z } from 'zod';

/** The three body axes. Signs per ISO 1151-1: roll right, nose up, nose right are positive. */
export const AXES = ['roll', 'pitch', 'yaw'] as const;
export const AxisSchema = z.enum(AXES);
export type Axis = z.infer<typeof AxisSchema>;

/** Short machine name, unique within its list; what references point at. */
export const IdSchema = z
  .string()
  .regex(
    /^[a-z0-9][a-z0-9-]{0,39}$/,
    'must be 1 to 40 small letters, digits or hyphens, starting with a letter or digit',
  );

/** A person's words for a thing. */
export const LabelSchema = z.string().trim().min(1).max(80);
export const NoteSchema = z.string().max(4000);

export const ChannelSchema = z.int().min(1).max(32);

/** Percent of nominal travel: ±100 is the nominal stick end, values up to ±200 are mixes. */
export const PctSchema = z.number().min(-200).max(200);
export const ShareSchema = z.number().min(0).max(100);
export const AngleDegSchema = z.number().min(-180).max(180);
export const PulseUsSchema = z.number().min(500).max(2500);
export const SenseSchema = z.union([z.literal(1), z.literal(-1)]);
export type Sense = z.infer<typeof SenseSchema>;

/** What the unit does with the model. */
export const MODES = ['off', 'rate', 'hold', 'level', 'trainer', 'home', 'hover'] as const;
export const ModeSchema = z.enum(MODES);
export type Mode = z.infer<typeof ModeSchema>;

/**
 * How a box sits in the model: where its arrow points, then where its label faces. A rotation by
 * multiples of 90° is fixed by two perpendicular directions, which gives exactly 24.
 */
export const MOUNTINGS = [
  'nose-up',
  'nose-down',
  'nose-left',
  'nose-right',
  'tail-up',
  'tail-down',
  'tail-left',
  'tail-right',
  'left-up',
  'left-down',
  'left-nose',
  'left-tail',
  'right-up',
  'right-down',
  'right-nose',
  'right-tail',
  'up-nose',
  'up-tail',
  'up-left',
  'up-right',
  'down-nose',
  'down-tail',
  'down-left',
  'down-right',
] as const;
export const MountingSchema = z.enum(MOUNTINGS);
export type Mounting = z.infer<typeof MountingSchema>;
