import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import { Failure } from '../failure';
import { MOST_ZIP_BYTES } from './format';
import { dropUpload, newUpload, startLook, type Task } from './tasks';

const tooLarge = () =>
  new Failure(413, [
    { path: '', reason: `too large: an archive has at most ${MOST_ZIP_BYTES / 1e9} billion bytes` },
  ]);

/** Takes an archive off the wire onto the disk, and begins to look at it. */
export async function receiveArchive(request: Request): Promise<Task> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_ZIP_BYTES) throw tooLarge();
  const { id, zip } = newUpload();
  let bytes = 0;
  try {
    await pipeline(
      Readable.fromWeb((request.body ?? new Blob([]).stream()) as ReadableStream),
      async function* (source: AsyncIterable<Uint8Array>) {
        for await (const chunk of source) {
          bytes += chunk.byteLength;
          if (bytes > MOST_ZIP_BYTES) throw tooLarge();
          yield chunk;
        }
      },
      createWriteStream(zip),
    );
    return startLook(id);
  } catch (error) {
    dropUpload(id);
    throw error;
  }
}
