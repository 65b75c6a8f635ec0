import { z } from 'zod';
import { AXES, MODES, MOUNTINGS } from '../lists';

export const AxisSchema = z.enum(AXES);

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

export const ModeSchema = z.enum(MODES);

export const MountingSchema = z.enum(MOUNTINGS);
