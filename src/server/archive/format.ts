import { z } from 'zod';
import { LogEntrySchema, SeenSchema } from '../../core/logbook';
import { LabelSchema } from '../../core/setup';
import { Failure } from '../failure';

/*
 * The whole workshop as one zip: a manifest with a checksum of every file, one JSON file a model
 * with all its versions, evidence and log, the hangar, and a consistent copy of the database. What
 * goes out comes in again: the same limits hold both ways.
 */

export const ARCHIVE_FORMAT = 'tolvan-archive';
export const ARCHIVE_VERSION = 1;

/** Bytes of the zip file. */
export const MOST_ZIP_BYTES = 2_000_000_000;
/** Bytes of all JSON in it once unpacked. */
export const MOST_JSON_BYTES = 8_000_000_000;
export const MOST_FILES = 100_000;
/** Bytes of the manifest: one line a file. */
export const MOST_MANIFEST_BYTES = 20_000_000;

export const MODEL_LISTS = ['versions', 'evidence', 'log'] as const;

/** Only names this format makes: nothing that could lead out of a folder is ever looked at. */
export const NAME =
  /^(manifest\.json|hangar\.json|tolvan\.db|models\/([a-z0-9][a-z0-9-]{0,39})\.json)$/;

/** The words a model is found by. */
export const TagsSchema = z
  .array(z.string().trim().min(1).max(24).regex(/^\S+$/, 'is one word'))
  .max(8);

export const VersionSchema = z.strictObject({
  version: z.int().min(1),
  label: LabelSchema,
  at: z.iso.datetime(),
  setup: z.unknown(),
});

export const EvidenceSchema = z.strictObject({
  check: z.string().max(60),
  surface: z.string().max(60),
  seen: SeenSchema,
  parts: z.record(z.string().max(120), z.string().max(64)),
  version: z.int().min(1),
  at: z.iso.datetime(),
  ground: z.literal('said').optional(),
});

export const EntrySchema = LogEntrySchema;

export const ManifestSchema = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.literal(ARCHIVE_VERSION),
  madeAt: z.iso.datetime(),
  files: z.record(z.string().max(200), z.string().regex(/^[0-9a-f]{64}$/)),
});

export const refuse = (path: string, reason: string) => new Failure(422, [{ path, reason }]);

/** Told how far it is; asked whether to go on. */
export interface Watcher {
  progress(phase: string, done: number, total: number): void;
  ended(): boolean;
}

export const UNWATCHED: Watcher = { progress: () => undefined, ended: () => false };

/** Somebody ended it. */
export class Ended extends Error {
  readonly code = 'ENDED';
}

export function goOn(watcher: Watcher): void {
  if (watcher.ended()) throw new Ended('ended');
}

/** What bringing an archive in would do to one model. */
export interface ArchiveChange {
  id: string;
  name: string;
  does: 'add' | 'extend' | 'nothing' | 'refuse';
  words: string;
}

export interface ArchivePreview {
  madeAt: string;
  models: ArchiveChange[];
  hangar: ArchiveChange[];
}
