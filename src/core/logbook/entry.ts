import { z } from 'zod';

export const ENTRY_KINDS = ['flight', 'preflight', 'maintenance', 'event', 'note'] as const;

const words = (most: number) => z.string().trim().max(most);

/** One line of the log: what was done with a model, where, and what was seen. */
export const LogEntrySchema = z.strictObject({
  uid: z.string().regex(/^[a-z0-9-]{8,40}$/),
  /** Version of the Setup it was done with. */
  version: z.int().min(1),
  kind: z.enum(ENTRY_KINDS),
  /** ISO 8601, UTC. */
  at: z.iso.datetime(),
  title: words(120),
  place: words(80).optional(),
  wind: words(60).optional(),
  battery: words(60).optional(),
  minutes: z.number().min(0).max(1000).optional(),
  mode: words(60).optional(),
  /** Gain as read off the channel monitor after landing. */
  gainReading: words(40).optional(),
  /** What was seen. */
  seen: words(4000).optional(),
  trims: words(200).optional(),
  /** Of a preflight check: how it ended. */
  result: z.enum(['passed', 'failed']).optional(),
});

export type LogEntry = z.infer<typeof LogEntrySchema>;
export type EntryKind = (typeof ENTRY_KINDS)[number];
