import { expect, test, type APIRequestContext } from '@playwright/test';
import { makeSetup } from '../kit/setups';

const count = async (request: APIRequestContext) =>
  (await (await request.get('/')).text()).match(/models\/[0-9a-f]{8}\/directions/g)?.length ?? 0;

test('bad files are refused with where and why, and nothing is stored', async ({ request }) => {
  const before = await count(request);
  const post = (data: string) => request.post('/api/import', { data: Buffer.from(data) });
  const tries: [string, number, RegExp][] = [
    ['not json at all', 422, /not JSON/],
    [JSON.stringify({ ...makeSetup(), version: 7 }), 422, /newer Tolvan/],
    [JSON.stringify({ ...makeSetup(), wings: 2 }), 422, /\/wings.*unknown field/],
    [JSON.stringify({ format: 'other' }), 422, /\/format/],
    ['x'.repeat(10_000_000), 413, /too large/],
  ];
  for (const [body, status, reason] of tries) {
    const reply = await post(body);
    expect(reply.status()).toBe(status);
    expect(await reply.text()).toMatch(reason);
  }
  expect(await count(request)).toBe(before);
});

test('a Setup goes out and comes back the same', async ({ request }) => {
  const setup = { ...makeSetup('v-tail'), name: 'Courier' };
  const made = await request.post('/api/import', { data: JSON.stringify(setup) });
  const { id } = (await made.json()) as { id: string };
  const file = await request.get(`/api/models/${id}/export`);
  expect(file.headers()['content-disposition']).toContain('Courier.tolvan.json');
  expect(await file.json()).toEqual(setup);
});

test('requests from other sites and for other names are turned away', async ({ request }) => {
  const foreign = await request.post('/api/models', {
    data: {},
    headers: { origin: 'http://elsewhere.example' },
  });
  expect(foreign.status()).toBe(403);
  const named = await request.get('/', { headers: { host: 'elsewhere.example' } });
  expect(named.status()).toBe(403);
});

test('pages carry a strict policy', async ({ request }) => {
  const policy = (await request.get('/')).headers()['content-security-policy']!;
  expect(policy).toContain("default-src 'self'");
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  expect(policy).not.toContain('unsafe-eval');
});

test('the schema can be downloaded', async ({ request }) => {
  const schema = (await (await request.get('/api/schema')).json()) as { $schema: string };
  expect(schema.$schema).toContain('2020-12');
});

test('what is not there says so', async ({ page, request }) => {
  expect((await request.get('/api/models/00000000')).status()).toBe(404);
  await page.goto('/models/00000000/rig');
  await expect(page.getByText('Nothing lies here')).toBeVisible();
});
