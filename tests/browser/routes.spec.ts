import { spawnSync } from 'node:child_process';
import { expect } from '@playwright/test';
import fc from 'fast-check';
import { makeSetup } from '../kit/setups';
import { asJson, test } from './kit';

test.use({ turns: 1 });

test('bad files are refused with where and why, and nothing is stored', async ({ request }) => {
  const named = { ...makeSetup(), name: 'Never stored' };
  const post = (data: string) => request.post('/api/import', asJson(data));
  const tries: [string, number, RegExp][] = [
    ['not json at all', 422, /not JSON/],
    [JSON.stringify({ ...named, version: 7 }), 422, /newer Tolvan/],
    [JSON.stringify({ ...named, wings: 2 }), 422, /\/wings.*unknown field/],
    [JSON.stringify({ format: 'other' }), 422, /\/format/],
    ['x'.repeat(10_000_000), 413, /too large/],
    ['', 422, /not JSON/],
    ['[]', 422, /object/],
    [`{"a":${'['.repeat(20_000)}${']'.repeat(20_000)}}`, 422, /./],
  ];
  for (const [body, status, reason] of tries) {
    const reply = await post(body);
    expect(reply.status()).toBe(status);
    expect(await reply.text()).toMatch(reason);
  }
  expect(await (await request.get('/')).text()).not.toContain('Never stored');
});

test('a Setup goes out and comes back the same', async ({ request }) => {
  const setup = { ...makeSetup('v-tail'), name: 'Courier' };
  const made = await request.post('/api/import', { data: setup });
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
  // What a form of another page can send without asking is no change.
  for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])
    for (const path of [
      '/api/import',
      '/api/models',
      '/api/prove',
      '/api/archive/in',
      '/api/archive/out',
    ])
      expect(
        (await request.post(path, { data: '{}', headers: { 'content-type': type } })).status(),
        `${path} ${type}`,
      ).toBe(415);
  const named = await request.get('/', { headers: { host: 'elsewhere.example' } });
  expect(named.status()).toBe(403);
});

test('another site can neither change anything nor have what is kept here sent', async ({
  request,
}) => {
  const headers = { 'sec-fetch-site': 'cross-site' };
  for (const path of [
    '/api/archive/out',
    '/api/archive/in',
    '/api/models',
    '/api/import',
    '/api/prove',
  ])
    expect((await request.post(path, { headers, data: '{}' })).status(), path).toBe(403);
  for (const path of ['/api/archive', '/api/hangar/export', '/api/archive/tasks/x/file'])
    expect((await request.get(path, { headers })).status(), path).toBe(403);
  // Coming from a link elsewhere to the page itself is fine.
  expect((await request.get('/', { headers })).status()).toBe(200);
});

test('conditions nested beyond any program are refused at the edge', async ({ request }) => {
  let when: object = { kind: 'switch', control: 'sa', position: 0 };
  for (let n = 0; n < 2000; n++) when = { kind: 'not', of: when };
  const setup = makeSetup() as unknown as { program: { lines: object[] } };
  setup.program.lines.push({ when });
  const reply = await request.post('/api/import', { data: setup });
  expect(reply.status()).toBe(422);
  expect(await reply.text()).toContain('nested more than 64 deep');
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
  await expect(page.getByText('Page not found')).toBeVisible();
});

test('every route takes rubbish with a refusal, never with a fault of its own', async ({
  request,
}) => {
  const made = await request.post('/api/import', { data: makeSetup() });
  const { id } = (await made.json()) as { id: string };
  const own = `/api/models/${id}`;
  const bodies = ['', 'null', '[]', '{}', '7', '"x"', '{"basedOn":1}', '{"basedOn":-1,"setup":[]}'];
  const posts = ['events', 'observations', 'preflight', 'remedy', 'versions', 'log'].map(
    (what) => `${own}/${what}`,
  );
  const strange = fc.sample(fc.json(), 12).concat(fc.sample(fc.string(), 6));
  for (const path of [
    ...posts,
    '/api/models',
    '/api/import',
    '/api/prove',
    '/api/hangar',
    '/api/hangar/import',
  ])
    for (const data of [...bodies, ...strange]) {
      // An empty workshop of parts may be imported; nothing else of this is anything.
      const status = (await request.post(path, asJson(data))).status();
      expect([400, 409, 413, 422], `${path} ${data}`).toContain(status);
    }
  for (const path of ['/api/archive/in', '/api/archive/tasks/none', `${own}/log/import`])
    for (const query of ['', '?confirm=yes', '?confirm=%00&dates=moon'])
      for (const data of [...bodies.slice(0, 3), 'PK\u0003\u0004', ...strange.slice(0, 4)]) {
        const bytes = { data: Buffer.from(data) };
        const reply = await request.post(
          `${path}${query}`,
          path === '/api/archive/in' ? bytes : asJson(data),
        );
        expect(reply.status(), `${path}${query} ${data}`).toBeLessThan(500);
      }
  const put = await request.put(`${own}/setup`, asJson('{"basedOn":1}'));
  expect(put.status()).toBe(422);
  const odd = ['', '..', '%2e%2e%2f', '0', 'x'.repeat(300), '%00', "';--", '%E2%82'];
  for (const bit of odd)
    for (const path of [
      `/api/models/${bit}`,
      `/api/models/${bit}/export`,
      `${own}/versions?from=${bit}&to=2`,
      `${own}/log?kind=${bit}&most=${bit}`,
      `${own}/paper?what=${bit}`,
      `${own}/sheet?style=${bit}&as=pdf`,
      `/api/hangar/${bit}`,
      `/models/${bit}/job`,
      `/hangar/${bit}`,
    ]) {
      const reply = await request.get(path, { maxRedirects: 0 });
      expect(reply.status(), path).toBeLessThan(500);
    }
  // And the model is what it was.
  expect(await (await request.get(`${own}/export`)).json()).toEqual(makeSetup());
});

test('papers and files keep their names, whatever letters they have', async ({ request }) => {
  const setup = { ...makeSetup(), name: 'Sjöfågel "7" / мост' };
  const made = await request.post('/api/import', { data: setup });
  const { id } = (await made.json()) as { id: string };
  for (const path of ['export', 'paper?what=preflight&paper=A6', 'paper?what=job', 'log?as=csv']) {
    const named = (await request.get(`/api/models/${id}/${path}`)).headers()[
      'content-disposition'
    ]!;
    expect(named).toContain('filename="Sjofagel');
    expect(decodeURIComponent(named.split("UTF-8''")[1]!)).toMatch(/^Sjöfågel 7 мост/);
  }
});

test('a server told to listen beyond this machine does not start', async () => {
  const bin = 'node_modules/next/dist/bin/next';
  for (const where of [['-H', '0.0.0.0'], []]) {
    const { status, stderr } = spawnSync(process.execPath, [bin, 'start', '-p', '0', ...where], {
      encoding: 'utf8',
      timeout: 60_000,
    });
    expect(status).toBe(1);
    expect(stderr).toContain('listens on this machine only');
  }
});
