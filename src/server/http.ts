import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import type { z } from 'zod';
import { parseJson } from '../core/json';
import { MAX_SETUP_CHARS, describeIssue } from '../core/setup';
import { Failure, asFailure } from './failure';

/** Largest request body accepted, in bytes; text of a Setup may take several bytes a character. */
export const MAX_BODY_BYTES = 2 * MAX_SETUP_CHARS;

/** How long a writer waits for another one, an archive being imported say. */
const PATIENCE_MS = 10_000;

/**
 * Runs a use case behind a route: its value becomes JSON, a Failure its status with the problems.
 */
export async function answer(work: () => unknown, patienceMs = PATIENCE_MS): Promise<Response> {
  try {
    const value = await patiently(work, patienceMs);
    return value instanceof Response ? value : Response.json(value ?? {});
  } catch (thrown) {
    const error = asFailure(thrown);
    if (error instanceof Failure)
      return Response.json(
        {
          problems: error.problems,
          ...(error.head ? { head: error.head } : {}),
          ...(error.changed ? { changed: error.changed } : {}),
        },
        { status: error.status },
      );
    console.error(error);
    return Response.json(
      { problems: [{ path: '', reason: 'something went wrong here; nothing was saved' }] },
      { status: 500 },
    );
  }
}

/**
 * Writes begin with the lock: where another program or thread has it, nothing has been done yet and
 * the work can simply be tried again, without keeping other requests waiting meanwhile.
 */
async function patiently(work: () => unknown, patienceMs: number): Promise<unknown> {
  const until = Date.now() + patienceMs;
  for (let pauseMs = 20; ; pauseMs = Math.min(250, pauseMs * 2)) {
    try {
      return await work();
    } catch (error) {
      const busy = (error as { code?: unknown } | null)?.code;
      if (typeof busy !== 'string' || !busy.startsWith('SQLITE_BUSY') || Date.now() > until)
        throw error;
      await new Promise((resolve) => setTimeout(resolve, pauseMs));
    }
  }
}

const bodies = new WeakMap<Request, Promise<Uint8Array>>();

/** Reads a body up to a limit, once however often it is asked for. */
export function readBytes(request: Request, most: number): Promise<Uint8Array> {
  const body = bodies.get(request) ?? readOnce(request, most);
  bodies.set(request, body);
  return body;
}

/** Reads a body up to a limit, without trusting the length the sender claims. */
async function readOnce(request: Request, most: number): Promise<Uint8Array> {
  const tooLarge = () =>
    new Failure(413, [
      { path: '', reason: `too large: at most ${most / 1_000_000} million bytes` },
    ]);
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      await reader.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}

/** Reads a body of text. */
export const readText = async (request: Request, most = MAX_BODY_BYTES): Promise<string> =>
  Buffer.from(await readBytes(request, most)).toString('utf8');

/**
 * Validates input at the edge.
 * @param at where the data stands in what was sent, put before every path
 * @throws Failure 422 with the path of each problem
 */
export function checked<S extends z.ZodType>(schema: S, data: unknown, at = ''): z.output<S> {
  const parsed = schema.safeParse(data);
  if (parsed.success) return parsed.data;
  const problems = parsed.error.issues.flatMap(describeIssue);
  throw new Failure(
    422,
    problems.map((p) => ({ path: `${at}${p.path}`, reason: p.reason })),
  );
}

/** Reads a JSON body. @throws Failure 422 where it is nested or crowded beyond any document */
export async function readJson(request: Request): Promise<unknown> {
  const parsed = parseJson(await readText(request));
  if (parsed.ok) return parsed.value;
  throw new Failure(parsed.fault === 'syntax' ? 400 : 422, [{ path: '', reason: parsed.reason }]);
}

/**
 * A file to be saved, named as the model is (RFC 6266), with a plain name for programs that know
 * no other letters. What no file system takes in a name is left out.
 */
export const download = (
  body: string | Uint8Array | ReadableStream<Uint8Array>,
  name: string,
  type: string,
): Response =>
  new Response(body instanceof Uint8Array ? new Uint8Array(body) : body, {
    headers: saveAs(name, type),
  });

/** The same for a file that lies on the disk, piece by piece. @param after once it has been sent, or given up */
export function downloadFile(
  path: string,
  name: string,
  type: string,
  after: () => unknown = () => undefined,
): Response {
  const stream = createReadStream(path);
  stream.once('close', after);
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: { ...saveAs(name, type), 'content-length': String(statSync(path).size) },
  });
}

function saveAs(name: string, type: string): Record<string, string> {
  const clean =
    name
      .replace(/[\\/:*?"<>|\p{Cc}\p{Cs}]/gu, ' ')
      .replace(/\s+/g, ' ')
      .trim() || 'tolvan';
  const plain = clean.normalize('NFD').replace(/[^\x20-\x7e]/g, '');
  const encoded = encodeURIComponent(clean).replace(
    /['()*]/g,
    (c) => `%${c.charCodeAt(0).toString(16)}`,
  );
  return {
    'content-type': type,
    'content-disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encoded}`,
  };
}
