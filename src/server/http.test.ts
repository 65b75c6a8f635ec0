import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { failureOf } from '../../tests/kit/failure';
import { Failure, asFailure } from './failure';
import { answer, checked, download, readBytes, readJson } from './http';

const post = (body: string | Uint8Array<ArrayBuffer>) =>
  new Request('http://127.0.0.1/', { method: 'POST', body });
const request = post('{"a":1}');
const problems = async (reply: Response) =>
  ((await reply.json()) as { problems: { reason: string }[] }).problems[0]!.reason;

describe('an answer', () => {
  it('is the value as JSON, a refusal with its status, or a fault that says nothing was saved', async () => {
    expect(await (await answer(() => ({ a: 1 }))).json()).toEqual({ a: 1 });
    const refused = await answer(() => {
      throw new Failure(409, [{ path: '/x', reason: 'no' }], 7);
    });
    expect(refused.status).toBe(409);
    expect(await refused.json()).toEqual({ problems: [{ path: '/x', reason: 'no' }], head: 7 });
  });
  it.each<[{ code: string; head?: number; message?: string }, number, string]>([
    [{ code: 'OUTDATED', head: 4 }, 409, 'saved this model meanwhile'],
    [{ code: 'SQLITE_FULL' }, 507, 'disk is full'],
    [{ code: 'SQLITE_BUSY_SNAPSHOT' }, 503, 'another program holds'],
    [{ code: 'SQLITE_CORRUPT_INDEX' }, 503, 'damaged'],
    [{ code: 'UNUSABLE', message: 'x cannot be used' }, 503, 'x cannot be used'],
  ])('%j: %i', async (error, status, words) => {
    const reply = await answer(() => {
      throw Object.assign(new Error(error.message ?? ''), error);
    }, 0);
    expect(reply.status).toBe(status);
    expect(await problems(reply)).toContain(words);
  });
  it('comes when a writer that found the database held has tried again', async () => {
    let tries = 0;
    const reply = await answer(async () => {
      tries += 1;
      if (tries < 4) throw Object.assign(new Error('locked'), { code: 'SQLITE_BUSY' });
      return { body: await readJson(request) };
    });
    expect(await reply.json()).toEqual({ body: { a: 1 } });
    expect(tries).toBe(4);
  });
  it('passes what it does not know on as it is', () => {
    const odd = new TypeError('odd');
    expect(asFailure(odd)).toBe(odd);
    expect(asFailure(undefined)).toBeUndefined();
  });
});

describe('a body', () => {
  it('is read up to a limit whatever length it claims', async () => {
    expect(await readBytes(post('abc'), 3)).toEqual(Buffer.from('abc'));
    await expect(readBytes(post('abcd'), 3)).rejects.toMatchObject({ status: 413 });
    const lying = new Request('http://127.0.0.1/', {
      method: 'POST',
      body: 'x'.repeat(50),
      headers: { 'content-length': '1' },
    });
    await expect(readBytes(lying, 10)).rejects.toMatchObject({ status: 413 });
  });
  it('that is no JSON is refused with the reason', async () => {
    await expect(readJson(post('{"a":'))).rejects.toMatchObject({ status: 400 });
    expect(await readJson(post('{"a":[1]}'))).toEqual({ a: [1] });
  });
  it('is checked at the edge, with the path of every problem', () => {
    const schema = z.strictObject({ a: z.strictObject({ b: z.number() }), c: z.string() });
    const failure = failureOf(() => checked(schema, { a: { b: 'x' }, d: 1 }));
    expect(failure.status).toBe(422);
    expect(failure.problems.map((p) => p.path)).toEqual(
      expect.arrayContaining(['/a/b', '/c', '/d']),
    );
  });
});

describe('a file to be saved', () => {
  const nameOf = (name: string) => {
    const header = download('x', name, 'text/plain').headers.get('content-disposition')!;
    const [, plain, encoded] = /^attachment; filename="([^"]*)"; filename\*=UTF-8''(.*)$/.exec(
      header,
    )!;
    return { plain: plain!, full: decodeURIComponent(encoded!) };
  };
  it.each([
    ['Loon.pdf', 'Loon.pdf', 'Loon.pdf'],
    ['Sjöfågel.pdf', 'Sjofagel.pdf', 'Sjöfågel.pdf'],
    ['a/b\\c:d*e?f"g<h>i|j.pdf', 'a b c d e f g h i j.pdf', 'a b c d e f g h i j.pdf'],
    ['../../etc/passwd', '.. .. etc passwd', '.. .. etc passwd'],
    ['мост', '', 'мост'],
    ['  ', 'tolvan', 'tolvan'],
  ])('%j is saved as %j, or %j', (name, plain, full) =>
    expect(nameOf(name)).toEqual({ plain, full }),
  );
  it('never breaks out of its header, whatever the name', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 0xffff })), (units) => {
        const name = String.fromCharCode(...units);
        const header = download('x', name, 'text/plain').headers.get('content-disposition')!;
        expect(header).toMatch(
          /^attachment; filename="[\x20-\x7e]*"; filename\*=UTF-8''[\x21-\x7e]*$/,
        );
      }),
    );
  });
});
