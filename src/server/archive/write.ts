import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, statSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { openSnapshot, type Workshop } from '../workshop';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  MOST_JSON_BYTES,
  UNWATCHED,
  goOn,
  refuse,
  type Watcher,
} from './format';

/** Pieces smaller than this are joined before they go to the packer. */
const CHUNK_CHARS = 200_000;

/**
 * Writes everything kept here into a zip file, piece by piece: a workshop of any size takes little
 * memory. All of it comes from one consistent copy of the database, which lies in the zip as well.
 */
export async function writeArchive(
  store: Workshop,
  file: string,
  at = new Date().toISOString(),
  watcher: Watcher = UNWATCHED,
): Promise<void> {
  const copy = `${file}.db`;
  await store.db.backup(copy, {
    progress: ({ totalPages, remainingPages }) => {
      goOn(watcher);
      watcher.progress('copying the database', totalPages - remainingPages, totalPages);
      return 2000;
    },
  });
  const snapshot = openSnapshot(copy);
  try {
    const zip = new ZipFile();
    const sums = new Map<string, string>();
    let bytes = 0;
    const mtime = new Date(at);
    const add = (name: string, source: () => Readable | Iterable<string>) =>
      zip.addReadStreamLazy(name, { mtime, compressionLevel: 6 }, (ready) => {
        const hash = createHash('sha256');
        const from = source();
        const stream =
          from instanceof Readable ? from : Readable.from(chunked(from), { objectMode: false });
        stream.on('data', (chunk: Buffer) => {
          hash.update(chunk);
          bytes += name === 'tolvan.db' ? 0 : chunk.length;
          if (bytes > MOST_JSON_BYTES)
            stream.destroy(refuse('', 'the workshop is larger than one archive may be'));
        });
        stream.on('end', () => sums.set(name, hash.digest('hex')));
        ready(null, stream);
      });
    // What was taken off is on its way out; all else comes along, retired or not.
    const heads = (['shelf', 'retired'] as const).flatMap((kept) =>
      snapshot.shelf
        .heads('', -1, kept)
        .map(({ id, tags }) => ({ id, tags, retired: kept === 'retired' })),
    );
    heads.forEach((head, i) =>
      add(`models/${head.id}.json`, () => {
        goOn(watcher);
        watcher.progress('packing models', i, heads.length);
        return modelText(snapshot, head);
      }),
    );
    add('hangar.json', () => hangarText(snapshot));
    add('tolvan.db', () => {
      watcher.progress('packing the database copy', 0, statSync(copy).size);
      return createReadStream(copy);
    });
    // Its turn comes last, when every checksum is known.
    zip.addReadStreamLazy('manifest.json', { mtime }, (ready) =>
      ready(
        null,
        Readable.from([
          `${JSON.stringify(
            {
              format: ARCHIVE_FORMAT,
              version: ARCHIVE_VERSION,
              madeAt: at,
              files: Object.fromEntries(sums),
            },
            null,
            1,
          )}\n`,
        ]),
      ),
    );
    zip.end();
    await pipeline(
      zip.outputStream,
      async function* (source) {
        for await (const chunk of source as AsyncIterable<Buffer>) {
          goOn(watcher);
          yield chunk;
        }
      },
      createWriteStream(file),
    );
  } catch (error) {
    await rm(file, { force: true });
    throw error;
  } finally {
    snapshot.db.close();
    await rm(copy, { force: true });
  }
}

function* chunked(texts: Iterable<string>): Iterable<Buffer> {
  let text = '';
  for (const more of texts) {
    text += more;
    if (text.length < CHUNK_CHARS) continue;
    yield Buffer.from(text);
    text = '';
  }
  if (text !== '') yield Buffer.from(text);
}

/** A list of a model file, one item a line. */
function* listText(name: string, items: Iterable<string>): Iterable<string> {
  yield `,\n "${name}": [`;
  let first = true;
  for (const item of items) {
    yield `${first ? '' : ','}\n  ${item}`;
    first = false;
  }
  yield first ? ']' : '\n ]';
}

function* modelText(
  store: Workshop,
  { id, tags, retired }: { id: string; tags: string; retired: boolean },
): Iterable<string> {
  yield `{\n "id": ${JSON.stringify(id)}`;
  if (tags !== '') yield `,\n "tags": ${JSON.stringify(tags.split(' '))}`;
  if (retired) yield ',\n "retired": true';
  yield* listText('versions', versionTexts(store, id));
  yield* listText('evidence', texts(store.evidence.each(id)));
  yield* listText('log', texts(store.log.each(id)));
  yield '\n}\n';
}

function* texts(items: Iterable<unknown>): Iterable<string> {
  for (const item of items) yield JSON.stringify(item);
}

function* versionTexts(store: Workshop, id: string): Iterable<string> {
  for (const { version, label, createdAt, setup } of store.models.eachText(id))
    yield `{"version": ${version}, "label": ${JSON.stringify(label)}, "at": ${JSON.stringify(createdAt)}, "setup": ${setup}}`;
}

function* hangarText(store: Workshop): Iterable<string> {
  const parts = store.hangar
    .all()
    .map(({ id, kind, copyOf, body }) =>
      JSON.stringify({ id, kind, ...(copyOf === undefined ? {} : { copyOf }), body }),
    );
  yield `[\n ${parts.join(',\n ')}\n]\n`;
}
