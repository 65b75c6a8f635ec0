import type { z } from 'zod';
import { MAX_SETUP_CHARS, describeIssue } from '../core/setup';
import { Failure, asFailure } from './failure';

/** Largest request body accepted, in bytes; text of a Setup may take several bytes a character. */
export const MAX_BODY_BYTES = 2 * MAX_SETUP_CHARS;

/**
 * Runs a use case behind a route: its value becomes JSON, a Failure its status with the problems.
 */
export async function answer(work: () => unknown): Promise<Response> {
  try {
    const value = await work();
    return value instanceof Response ? value : Response.json(value ?? {});
  } catch (thrown) {
    const error = asFailure(thrown);
    if (error instanceof Failure)
      return Response.json(
        { problems: error.problems, ...(error.head ? { head: error.head } : {}) },
        { status: error.status },
      );
    console.error(error);
    return Response.json(
      { problems: [{ path: '', reason: 'something went wrong here; nothing was saved' }] },
      { status: 500 },
    );
  }
}

/** Reads a body up to a limit, without trusting the length the sender claims. */
export async function readBytes(request: Request, most: number): Promise<Uint8Array> {
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
export const readText = async (request: Request): Promise<string> =>
  Buffer.from(await readBytes(request, MAX_BODY_BYTES)).toString('utf8');

/** Validates input at the edge. @throws Failure 422 with the path of each problem */
export function checked<S extends z.ZodType>(schema: S, data: unknown): z.output<S> {
  const parsed = schema.safeParse(data);
  if (!parsed.success) throw new Failure(422, parsed.error.issues.flatMap(describeIssue));
  return parsed.data;
}

/** Reads a JSON body. */
export async function readJson(request: Request): Promise<unknown> {
  const text = await readText(request);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Failure(400, [{ path: '', reason: `not JSON: ${(error as Error).message}` }]);
  }
}

/**
 * A file to be saved, named as the model is (RFC 6266), with a plain name for programs that know
 * no other letters. What no file system takes in a name is left out.
 */
export function download(body: string | Uint8Array, name: string, type: string): Response {
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
  return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encoded}`,
    },
  });
}
