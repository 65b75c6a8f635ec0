import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { z } from 'zod';
import { fromFd, type Entry, type ZipFile } from 'yauzl';
import { closeSync, openSync } from 'node:fs';
import { JsonItemsError, itemReader, parseJson, type ItemHandler } from '../../core/json';
import { openSetup } from '../../core/plan';
import { parsePart, SETUP_VERSION, type Problem, type Setup } from '../../core/setup';
import { createStaging, evidenceRow, logRow, type Staging } from '../../db';
import { Failure } from '../failure';
import { checked } from '../http';
import {
  EntrySchema,
  EvidenceSchema,
  ManifestSchema,
  MODEL_LISTS,
  MOST_FILES,
  MOST_JSON_BYTES,
  MOST_MANIFEST_BYTES,
  NAME,
  Ended,
  TagsSchema,
  UNWATCHED,
  VersionSchema,
  goOn,
  refuse,
  type Watcher,
} from './format';

/**
 * Reads and checks all of an archive into a staging file. Nothing is unpacked beyond the size it
 * states, and no file is ever held whole.
 * @returns when it was made @throws Failure 422 with the file, the place in it and the reason
 */
export async function stageArchive(
  file: string,
  staging: string,
  watcher: Watcher = UNWATCHED,
): Promise<{ madeAt: string }> {
  const zip = await open(file);
  const into = createStaging(staging);
  try {
    const entries = await entriesOf(zip, watcher);
    const manifest = await readManifest(zip, entries);
    for (const name of Object.keys(manifest.files))
      if (name !== 'tolvan.db' && !entries.has(name))
        throw refuse(`/${name}`, 'missing from the archive');
    const wanted = [...entries.values()].filter(
      (e) => e.fileName !== 'manifest.json' && e.fileName !== 'tolvan.db',
    );
    const total = wanted.reduce((n, e) => n + e.uncompressedSize, 0);
    let done = 0;
    let told = 0;
    for (const entry of wanted) {
      const name = entry.fileName;
      const stated = manifest.files[name];
      if (stated === undefined) throw refuse(`/${name}`, 'not named in the manifest');
      const hash = createHash('sha256');
      const reader = name === 'hangar.json' ? hangarReader(into) : modelReader(name, into);
      const run = (work: () => void) => {
        try {
          work();
        } catch (error) {
          if (error instanceof JsonItemsError) throw refuse(`/${name}${error.path}`, error.reason);
          throw error;
        }
      };
      for await (const chunk of await contents(zip, entry)) {
        goOn(watcher);
        hash.update(chunk);
        run(() => reader.push(chunk));
        done += chunk.length;
        if (done - told > 4_000_000) {
          told = done;
          watcher.progress('reading and checking', done, total);
        }
      }
      if (hash.digest('hex') !== stated)
        throw refuse(`/${name}`, 'its checksum is not the one in the manifest: damaged or changed');
      run(() => reader.end());
    }
    into.finish();
    return { madeAt: manifest.madeAt };
  } finally {
    into.close();
    zip.close();
  }
}

function open(file: string): Promise<ZipFile> {
  const fd = openSync(file, 'r');
  return new Promise((resolve, reject) =>
    // Without a name no file is ever made; sizes are held to what is stated.
    fromFd(fd, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) => {
      if (!error) return resolve(zip);
      closeSync(fd);
      reject(refuse('', `not a zip file: ${error.message}`));
    }),
  );
}

/** The files of the archive by name. */
function entriesOf(zip: ZipFile, watcher: Watcher): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    let bytes = 0;
    zip.on('error', (error: Error) => reject(refuse('', `not a zip file: ${error.message}`)));
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: Entry) => {
      const name = entry.fileName;
      if (name !== 'tolvan.db') bytes += entry.uncompressedSize;
      if (watcher.ended()) reject(new Ended('ended'));
      else if (!NAME.test(name))
        reject(refuse(`/${name.slice(0, 80)}`, 'a file this format does not have'));
      else if (entries.has(name)) reject(refuse(`/${name}`, 'is in the archive twice'));
      else if (entries.size >= MOST_FILES || bytes > MOST_JSON_BYTES)
        reject(refuse('', 'the archive is too large to be unpacked here'));
      else {
        entries.set(name, entry);
        zip.readEntry();
      }
    });
    zip.readEntry();
  });
}

function contents(zip: ZipFile, entry: Entry): Promise<AsyncIterable<Buffer>> {
  return new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream: Readable) => {
      if (error) reject(refuse(`/${entry.fileName}`, error.message));
      else resolve(named(entry.fileName, stream));
    }),
  );
}

async function* named(name: string, stream: Readable): AsyncIterable<Buffer> {
  try {
    for await (const chunk of stream) yield chunk as Buffer;
  } catch (error) {
    throw error instanceof Failure ? error : refuse(`/${name}`, (error as Error).message);
  }
}

async function readManifest(zip: ZipFile, entries: Map<string, Entry>) {
  const entry = entries.get('manifest.json');
  if (!entry) throw refuse('/manifest.json', 'missing from the archive');
  if (entry.uncompressedSize > MOST_MANIFEST_BYTES) throw refuse('/manifest.json', 'too large');
  const chunks: Buffer[] = [];
  for await (const chunk of await contents(zip, entry)) chunks.push(chunk);
  const parsed = parseJson(Buffer.concat(chunks).toString('utf8'), {
    depth: 4,
    values: 4 * MOST_FILES,
  });
  if (!parsed.ok) throw refuse('/manifest.json', parsed.reason);
  return checked(ManifestSchema, parsed.value, '/manifest.json');
}

const located = (at: string, problems: readonly Problem[]) =>
  new Failure(
    422,
    problems.map((p) => ({ path: `${at}${p.path}`, reason: p.reason })),
  );

/** Reads the file of one model into the staging file, an item at a time. */
function modelReader(name: string, into: Staging) {
  const id = NAME.exec(name)![2]!;
  let modelName: string | undefined;
  let given: unknown;
  let tags: string[] = [];
  let retired = false;
  let versions = 0;
  let newest = { list: '', index: 0, version: 0 };
  // The same Setup again, as after an undo, need not be checked again.
  const known = new Map<string, string>();
  const version = (value: unknown, index: number): void => {
    const at = `/${name}/versions/${index}`;
    const item = checked(VersionSchema, value, at);
    if (item.version !== index + 1) throw refuse(`${at}/version`, `must be ${index + 1}`);
    const written = JSON.stringify(item.setup);
    const sum = createHash('sha256').update(written).digest('base64');
    let setup = known.get(sum);
    if (setup === undefined) {
      const read = openSetup(item.setup);
      if (!read.ok) throw located(`${at}/setup`, read.problems);
      const old = (item.setup as { version: number }).version < SETUP_VERSION;
      // As it was written, key by key, so that a copy of a copy is the same.
      setup = old ? JSON.stringify(read.value.setup) : written;
      known.set(sum, setup);
    }
    modelName = (item.setup as Setup).name;
    versions += 1;
    into.version({
      modelId: id,
      version: item.version,
      label: item.label,
      setup,
      createdAt: item.at,
    });
  };
  const handler: ItemHandler = {
    member(member, value) {
      const at = `/${name}/${member.slice(0, 40)}`;
      if (member === 'id') given = value;
      else if (member === 'tags') tags = checked(TagsSchema, value, at);
      else if (member === 'retired') retired = checked(z.literal(true), value, at);
      else throw refuse(at, 'unknown field');
    },
    item(list, value, index) {
      if (list === 'versions') return version(value, index);
      const at = `/${name}/${list}/${index}`;
      const item =
        list === 'evidence' ? checked(EvidenceSchema, value, at) : checked(EntrySchema, value, at);
      if (item.version > newest.version) newest = { list, index, version: item.version };
      if ('uid' in item) into.log(logRow(id, item));
      else into.evidence(evidenceRow(id, item));
    },
  };
  const reader = itemReader(MODEL_LISTS, handler);
  return {
    push: reader.push,
    end(): void {
      reader.end();
      if (given !== id) throw refuse(`/${name}/id`, `is ${JSON.stringify(given)?.slice(0, 60)}`);
      if (modelName === undefined) throw refuse(`/${name}/versions`, 'there is no version');
      if (newest.version > versions)
        throw refuse(`/${name}/${newest.list}/${newest.index}/version`, 'there is no such version');
      into.model(id, modelName, retired, tags.join(' '));
    },
  };
}

function hangarReader(into: Staging) {
  return itemReader([''], {
    member: () => undefined,
    item(_, value, index) {
      const part = parsePart(value);
      if (!part.ok) throw located(`/hangar.json/${index}`, part.problems);
      into.part(JSON.stringify(part.value));
    },
  });
}
