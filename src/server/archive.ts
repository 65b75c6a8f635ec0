import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { z } from 'zod';
import { LogEntrySchema, type Evidence, type LogEntry } from '../core/logbook';
import {
  IdSchema,
  LabelSchema,
  parsePart,
  parseSetup,
  type Part,
  type Problem,
  type Setup,
} from '../core/setup';
import { Failure } from './failure';
import { checked } from './http';
import { workshop, type Workshop } from './workshop';

/*
 * The whole workshop as one zip: a manifest with a checksum of every file, one JSON file a model
 * with all its versions, evidence and log, the hangar, and a consistent copy of the database.
 */

export const ARCHIVE_FORMAT = 'tolvan-archive';
const ARCHIVE_VERSION = 1;
/** Far above any club's workshop; below what would fill a small machine's memory. */
const MAX_UNPACKED_BYTES = 400_000_000;
const MAX_FILES = 20_000;

const sum = (bytes: Uint8Array) => bytesToHex(sha256(bytes));
const json = (value: unknown) => strToU8(`${JSON.stringify(value, null, 1)}\n`);

interface ModelFile {
  id: string;
  versions: { version: number; label: string; at: string; setup: Setup }[];
  evidence: Evidence[];
  log: LogEntry[];
}

const EvidenceSchema = z.strictObject({
  check: z.string().max(60),
  surface: z.string().max(60),
  seen: z.string().regex(/^(up|down|left|right|centre|unseen|pass|fail|-?\d{1,3}(\.\d+)?%)$/),
  parts: z.record(z.string().max(120), z.string().max(64)),
  version: z.int().min(1),
  at: z.iso.datetime(),
});

const ModelFileSchema = z.strictObject({
  id: IdSchema,
  versions: z
    .array(
      z.strictObject({
        version: z.int().min(1),
        label: LabelSchema,
        at: z.iso.datetime(),
        setup: z.unknown(),
      }),
    )
    .min(1)
    .max(20_000),
  evidence: z.array(EvidenceSchema).max(200_000),
  log: z.array(LogEntrySchema).max(200_000),
});

const HangarSchema = z.array(z.unknown()).max(5000);

const ManifestSchema = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.literal(ARCHIVE_VERSION),
  madeAt: z.iso.datetime(),
  files: z.record(z.string().max(200), z.string().regex(/^[0-9a-f]{64}$/)),
});

function modelFile(store: Workshop, id: string): ModelFile {
  const versions = store.models
    .versions(id)
    .toReversed()
    .map(({ version, label, at }) => ({
      version,
      label,
      at,
      setup: store.models.version(id, version)!.setup,
    }));
  return { id, versions, evidence: store.evidence.of(id), log: store.log.all(id) };
}

/** Everything kept here, as one zip; read in one transaction, so that it fits together. */
export function exportArchive(store = workshop(), at = new Date().toISOString()): Uint8Array {
  const files: Record<string, Uint8Array> = {};
  store.db.transaction(() => {
    for (const { modelId } of store.models.heads())
      files[`models/${modelId}.json`] = json(modelFile(store, modelId));
    files['hangar.json'] = json(
      store.hangar.all().map(({ id, kind, copyOf, body }) => ({
        id,
        kind,
        ...(copyOf === undefined ? {} : { copyOf }),
        body,
      })),
    );
  })();
  files['tolvan.db'] = new Uint8Array(store.db.serialize());
  const manifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt: at,
    files: Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, sum(bytes)])),
  };
  return zipSync({ 'manifest.json': json(manifest), ...files }, { level: 6, mtime: new Date(at) });
}

const refuse = (path: string, reason: string) => new Failure(422, [{ path, reason }]);

/** Only names this format makes: nothing that could lead out of a folder is ever looked at. */
const NAME = /^(manifest\.json|hangar\.json|tolvan\.db|models\/[a-z0-9][a-z0-9-]{0,39}\.json)$/;

function unpack(zip: Uint8Array): Record<string, Uint8Array> {
  let count = 0;
  let size = 0;
  let foreign: string | undefined;
  try {
    const files = unzipSync(zip, {
      filter: ({ name, originalSize }) => {
        count += 1;
        size += originalSize;
        if (count > MAX_FILES || size > MAX_UNPACKED_BYTES)
          throw refuse('', 'the archive is too large to be unpacked here');
        if (!NAME.test(name)) foreign ??= name;
        return NAME.test(name) && name !== 'tolvan.db';
      },
    });
    if (foreign !== undefined)
      throw refuse(`/${foreign.slice(0, 80)}`, 'a file this format does not have');
    return files;
  } catch (error) {
    if (error instanceof Failure) throw error;
    throw refuse('', `not a zip file: ${(error as Error).message}`);
  }
}

function parsed(files: Record<string, Uint8Array>, name: string): unknown {
  const bytes = files[name];
  if (!bytes) throw refuse(`/${name}`, 'missing from the archive');
  try {
    return JSON.parse(strFromU8(bytes));
  } catch (error) {
    throw refuse(`/${name}`, `not JSON: ${(error as Error).message}`);
  }
}

const located = (name: string, problems: readonly Problem[]) =>
  new Failure(
    422,
    problems.map((p) => ({ path: `/${name}${p.path}`, reason: p.reason })),
  );

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

interface Opened {
  madeAt: string;
  models: ModelFile[];
  parts: Part[];
}

/** Reads and checks all of an archive. @throws Failure 422 with the file and the reason */
function openArchive(zip: Uint8Array): Opened {
  const files = unpack(zip);
  const manifest = checked(ManifestSchema, parsed(files, 'manifest.json'));
  for (const [name, bytes] of Object.entries(files)) {
    if (name === 'manifest.json') continue;
    if (manifest.files[name] === undefined) throw refuse(`/${name}`, 'not named in the manifest');
    if (manifest.files[name] !== sum(bytes))
      throw refuse(`/${name}`, 'its checksum is not the one in the manifest: damaged or changed');
  }
  const models = Object.keys(manifest.files)
    .filter((name) => name.startsWith('models/'))
    .map((name): ModelFile => {
      const raw = parsed(files, name);
      const result = ModelFileSchema.safeParse(raw);
      if (!result.success)
        throw located(
          name,
          result.error.issues.map((i) => ({ path: `/${i.path.join('/')}`, reason: i.message })),
        );
      const { id, versions, evidence, log } = result.data;
      if (name !== `models/${id}.json`) throw refuse(`/${name}/id`, `is "${id}"`);
      const setups = versions.map(({ setup, ...version }, i) => {
        if (version.version !== i + 1)
          throw refuse(`/${name}/versions/${i}/version`, `must be ${i + 1}`);
        const read = parseSetup(setup);
        if (!read.ok) throw located(`${name}/versions/${i}/setup`, read.problems);
        // As it was written, key by key, so that a copy of a copy is the same.
        return { ...version, setup: setup as Setup };
      });
      for (const [list, items] of [
        ['evidence', evidence],
        ['log', log],
      ] as const)
        items.forEach((item, i) => {
          if (item.version > setups.length)
            throw refuse(`/${name}/${list}/${i}/version`, 'there is no such version');
        });
      return { ...(raw as ModelFile), versions: setups };
    });
  const parts = checked(HangarSchema, parsed(files, 'hangar.json')).map((data, i) => {
    const part = parsePart(data);
    if (!part.ok) throw located(`hangar.json/${i}`, part.problems);
    return part.value;
  });
  return { madeAt: manifest.madeAt, models, parts };
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

function changeOf(store: Workshop, file: ModelFile): ArchiveChange {
  const { id } = file;
  const name = file.versions.at(-1)!.setup.name;
  if (!store.models.head(id))
    return {
      id,
      name,
      does: 'add',
      words: `new: ${file.versions.length} versions, ${file.evidence.length} observations, ${file.log.length} log entries`,
    };
  const own = modelFile(store, id);
  const shared = Math.min(own.versions.length, file.versions.length);
  const split = file.versions
    .slice(0, shared)
    .findIndex((v, i) => !same(v.setup, own.versions[i]!.setup));
  if (split >= 0)
    return {
      id,
      name,
      does: 'refuse',
      words: `both went different ways from version ${split + 1} on: yours is kept as it is`,
    };
  const versions = Math.max(0, file.versions.length - own.versions.length);
  const evidence = newEvidence(own, file).length;
  const known = new Set(own.log.map((e) => e.uid));
  const log = file.log.filter((e) => !known.has(e.uid)).length;
  return versions + evidence + log === 0
    ? { id, name, does: 'nothing', words: 'all of it is here already' }
    : {
        id,
        name,
        does: 'extend',
        words: `adds ${versions} versions, ${evidence} observations, ${log} log entries`,
      };
}

function newEvidence(own: ModelFile, file: ModelFile): Evidence[] {
  const known = new Set(own.evidence.map((e) => JSON.stringify(e)));
  return file.evidence.filter((e) => !known.has(JSON.stringify(e)));
}

function partChange(store: Workshop, part: Part): ArchiveChange {
  const own = store.hangar.get(part.id);
  const base = { id: part.id, name: part.body.name };
  if (!own) return { ...base, does: 'add', words: `new ${part.kind}` };
  return same(own.body, part.body)
    ? { ...base, does: 'nothing', words: 'the same is here already' }
    : { ...base, does: 'refuse', words: 'differs from the one here: yours is kept' };
}

/** What an archive would add, change or be refused; nothing is written. */
export function previewArchive(zip: Uint8Array, store = workshop()): ArchivePreview {
  const { madeAt, models, parts } = openArchive(zip);
  return {
    madeAt,
    models: models.map((m) => changeOf(store, m)),
    hangar: parts.map((p) => partChange(store, p)),
  };
}

/** Brings an archive in, all of it or, where anything fails, none. @returns what was done */
export function importArchive(zip: Uint8Array, store = workshop()): ArchivePreview {
  const opened = openArchive(zip);
  return store.db
    .transaction(() => {
      const models = opened.models.map((file) => {
        const change = changeOf(store, file);
        if (change.does === 'add' || change.does === 'extend') takeIn(store, file);
        return change;
      });
      const hangar = opened.parts.map((part) => {
        const change = partChange(store, part);
        if (change.does === 'add') store.hangar.add(part, opened.madeAt);
        return change;
      });
      return { madeAt: opened.madeAt, models, hangar };
    })
    .immediate();
}

function takeIn(store: Workshop, file: ModelFile): void {
  const own = store.models.head(file.id) ? modelFile(store, file.id) : undefined;
  for (const { version, label, at, setup } of file.versions.slice(own?.versions.length ?? 0))
    store.models.restore({ modelId: file.id, version, label, setup, createdAt: at });
  for (const seen of own ? newEvidence(own, file) : file.evidence)
    store.evidence.add(file.id, seen);
  for (const entry of file.log) store.log.add(file.id, entry);
}
