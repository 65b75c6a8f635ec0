import { expect, type Page } from '@playwright/test';
import { asJson, newModel, provenModel, test } from './kit';

test.use({ turns: 1 });

/** Sets the lower end of the first channel, as an edit that is easily seen. */
async function setEnd(page: Page, value: string) {
  const field = page.getByLabel('lower end').first();
  await field.fill(value);
  await field.press('Enter');
}
const end = (page: Page) => page.getByLabel('lower end').first();
const setupOf = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/models/${id}`)).json()) as {
    version: number;
    setup: { program: { outputs: { minPct: number; subtrimPct: number }[] }; name: string };
  };

test('Back after an edit in another tab shows the newest, and the next edit is no conflict', async ({
  page,
  context,
}) => {
  const id = await newModel(page, 'Backward brant');
  await page.goto(`/models/${id}/plain-model`);
  await setEnd(page, '-90');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.getByRole('link', { name: 'Tolvan' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  const other = await context.newPage();
  await other.goto(`/models/${id}/plain-model`);
  await other.locator('html[data-live]').waitFor({ state: 'attached' });
  await setEnd(other, '-80');
  await expect(other.getByText('Saved, version 3')).toBeVisible();
  await page.goBack();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await expect(end(page)).toHaveValue('-80');
  await setEnd(page, '-70');
  await expect(page.getByText('Saved, version 4')).toBeVisible();
  await expect(page.getByText('Two people are editing this model.')).toHaveCount(0);
  // And the other tab hears of it by itself.
  await expect(end(other)).toHaveValue('-70');
});

test('mine on top writes only what this tab changed; undo takes back no other tab’s save', async ({
  page,
  context,
}) => {
  const id = await newModel(page, 'Crossing crake');
  await page.goto(`/models/${id}/plain-model`);
  await expect(page.getByText('Saved, version 1')).toBeVisible();
  // This tab does not hear of the other one.
  await page.route(`**/api/models/${id}`, (route) => route.abort());
  await page.request.put(`/api/models/${id}/setup`, {
    data: await (async () => {
      const { setup } = await setupOf(page, id);
      setup.program.outputs[1]!.subtrimPct = 7;
      return { basedOn: 1, label: 'Elsewhere', setup };
    })(),
  });
  await setEnd(page, '-60');
  await expect(page.getByText('Two people are editing this model.')).toBeVisible();
  await page.unroute(`**/api/models/${id}`);
  await page.getByRole('button', { name: 'Use mine' }).click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  const { setup } = await setupOf(page, id);
  expect(setup.program.outputs[0]!.minPct).toBe(-60);
  expect(setup.program.outputs[1]!.subtrimPct).toBe(7);
  // Undo outlives a reload, and leaves what was saved elsewhere alone.
  await page.reload();
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText('Saved, version 4')).toBeVisible();
  const undone = (await setupOf(page, id)).setup;
  expect(undone.program.outputs[0]!.minPct).toBe(-100);
  expect(undone.program.outputs[1]!.subtrimPct).toBe(7);
  void context;
});

test('an edit that was not saved outlives good answers, a reload and leaving; it is tried again by itself', async ({
  page,
}) => {
  const id = await provenModel(page, 'Unsaved shrike');
  await page.goto(`/models/${id}/plain-model`);
  await page.route('**/setup', (route) => route.abort());
  await setEnd(page, '-55');
  await expect(page.getByText('Not saved:')).toBeVisible();
  // A good answer to something else does not clear it.
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: /Logbook/ })
    .click();
  await page.getByLabel('In a word').fill('Hop');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Flight · Hop')).toBeVisible();
  await expect(page.getByText('Not saved:')).toBeVisible();
  // Leaving inside the app asks.
  await page.getByRole('link', { name: 'Tolvan' }).click();
  await expect(page.getByRole('alertdialog', { name: 'Something is not saved yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Stay here' }).click();
  // A reload keeps it.
  page.once('dialog', (dialog) => void dialog.accept());
  await page.goto(`/models/${id}/plain-model`);
  await expect(end(page)).toHaveValue('-55');
  await expect(page.getByText('Not saved:')).toBeVisible();
  await page.unroute('**/setup');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  expect((await setupOf(page, id)).setup.program.outputs[0]!.minPct).toBe(-55);
});

test('drafts outlive a reload: a log line, a field being typed, a preflight check half way', async ({
  page,
}) => {
  const id = await newModel(page, 'Drafted dunlin');
  await page.goto(`/models/${id}/logbook`);
  await page.getByLabel('What was seen').fill('Half a sentence about a lo');
  await page.reload();
  await expect(page.getByLabel('What was seen')).toHaveValue('Half a sentence about a lo');
  await page.goto(`/models/${id}/model`);
  await page.getByLabel('Notes').fill('not left yet');
  await page.reload();
  await expect(page.getByLabel('Notes')).toHaveValue('not left yet');
  // A number as well, reached as people reach it: by a link, not by a page of its own.
  await page
    .getByRole('link', { name: /^Mount/ })
    .first()
    .click();
  const skew = page.getByLabel('skew, pitch');
  await skew.fill('3.2');
  await page.reload();
  await expect(skew).toHaveValue('3.2');
  await skew.press('Escape');
  await page.reload();
  await expect(skew).toHaveValue('0');
  await page.goto(`/models/${id}/preflight`);
  await page.getByRole('button', { name: 'Go through it now' }).click();
  await page.keyboard.press('y');
  await page.keyboard.press('y');
  const step = page.getByText(/^3 of \d+ · /);
  await expect(step).toBeVisible();
  await page.reload();
  await expect(step).toBeVisible();
});

test('answers that fail are taken off the screen, offered again and sent by themselves', async ({
  page,
}) => {
  const id = await newModel(page, 'Answering avocet');
  await page.goto(`/models/${id}/sticks`);
  await page.locator('section[data-check]').waitFor();
  const proven = page.getByRole('complementary', { name: 'All of them' }).getByText('proven');
  await page.route('**/observations', (route) => route.abort());
  await page.keyboard.press('ArrowRight');
  const unkept = page.getByRole('alert', { name: 'Answers not saved yet' });
  await expect(unkept.getByRole('listitem')).toHaveCount(2);
  await expect(proven).toHaveCount(0);
  await page.unroute('**/observations');
  await expect(unkept).toHaveCount(0);
  await expect
    .poll(async () => {
      const reply = await page.request.get(`/api/models/${id}`);
      return ((await reply.json()) as { evidence: object[] }).evidence.length;
    })
    .toBe(2);
});

test('a preflight check begun before the model was changed elsewhere is kept only as what it was', async ({
  page,
}) => {
  const id = await provenModel(page, 'Preflown plover');
  await page.goto(`/models/${id}/preflight`);
  await page.getByRole('button', { name: 'Go through it now' }).click();
  const count = Number((await page.getByText(/^1 of \d+ · /).textContent())!.split(' ')[2]);
  for (let n = 1; n < count; n++) await page.keyboard.press('y');
  await page.request.post(`/api/models/${id}/events`, { data: { basedOn: 1, event: 'crash' } });
  // All of it right is kept by itself, but not over what has changed meanwhile.
  await page.keyboard.press('y');
  await expect(page.getByText('Changed while you looked:')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it for version 1' }).click();
  await expect(page.getByText(/Kept in the logbook/).first()).toBeVisible();
  const log = (await (await page.request.get(`/api/models/${id}/log?kind=preflight`)).json()) as {
    entries: { version: number }[];
  };
  expect(log.entries.map((e) => e.version)).toEqual([1]);
});

test('a double click writes one line', async ({ page }) => {
  const id = await newModel(page, 'Doubled dunnock');
  await page.goto(`/models/${id}/logbook`);
  await page.getByLabel('In a word').fill('Once');
  await page.getByRole('button', { name: 'Keep it' }).dblclick();
  await expect(page.getByText('Flight · Once')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Flight · Once')).toHaveCount(1);
});

test('the log is read to its first line', async ({ page }) => {
  const id = await newModel(page, 'Long-lived lapwing');
  const lines = Array.from(
    { length: 520 },
    (_, n) => `2026-01-01T00:${String(n % 60).padStart(2, '0')}:00Z,line ${n},note`,
  );
  await page.request.post(`/api/models/${id}/log/import?confirm=yes`, {
    ...asJson(`at,title,kind\r\n${lines.join('\r\n')}\r\n`),
  });
  await page.goto(`/models/${id}/logbook`);
  const shown = page.getByText(/^Note · line \d+$/);
  const older = page.getByRole('button', { name: 'Show older ones' });
  for (let seen = 100; seen < 520; seen += 100) {
    await expect(shown).toHaveCount(seen);
    await older.click();
  }
  await expect(shown).toHaveCount(520);
  await expect(older).toHaveCount(0);
});

test.describe('no silent ends', () => {
  test('where the server does not answer, the page proves by itself', async ({ page }) => {
    const id = await newModel(page, 'Lonely lapwing');
    let refused = 0;
    await page.route('**/api/prove', (route) => {
      refused += 1;
      return route.fulfill({ status: 503, json: { problems: [{ path: '', reason: 'busy' }] } });
    });
    await page.goto(`/models/${id}/proof`);
    await expect(page.getByText(/requirements are proven/)).toBeVisible();
    expect(refused).toBeGreaterThan(0);
  });
  test('a proof whose worker does not load is said, and can be worked out in the page', async ({
    page,
  }) => {
    const id = await newModel(page, 'Workless wigeon');
    await page.route('**/api/prove', (route) => route.abort());
    await page.addInitScript(() => {
      window.Worker = class {
        constructor() {
          throw new Error('no workers here');
        }
      } as unknown as typeof Worker;
    });
    await page.goto(`/models/${id}/proof`);
    await expect(page.getByText('The program is not proved:')).toBeVisible();
    await page.getByRole('button', { name: 'Work it out in this page' }).click();
    await expect(page.getByText(/requirements are proven/)).toBeVisible();
    // The rig lives in the page as well.
    await page.goto(`/models/${id}/rig`);
    await expect(page.getByTestId('twin-now')).toBeVisible();
    await page.getByRole('button', { name: 'Raise left wing' }).click();
    await expect(page.getByTestId('twin-last')).toContainText('left wing raised');
  });
  test('a worker that says nothing any more is given up', async ({ page }) => {
    const id = await newModel(page, 'Silent snipe');
    await page.route('**/api/prove', (route) => route.abort());
    await page.addInitScript(() => {
      window.Worker = class extends EventTarget {
        postMessage() {}
        terminate() {}
      } as unknown as typeof Worker;
    });
    await page.goto(`/models/${id}/rig`);
    await page.getByRole('button', { name: 'Raise left wing' }).click();
    await expect(page.getByText('The program is not proved: it stopped responding')).toBeVisible({
      timeout: 20_000,
    });
    await page.getByRole('button', { name: 'Raise left wing' }).click();
    await expect(page.getByTestId('twin-last')).toContainText('left wing raised');
  });
  test('without WebGL the rig and the mounting are drawn plainly', async ({ page }) => {
    const id = await newModel(page, 'Flat fulmar');
    await page.addInitScript(() => {
      HTMLCanvasElement.prototype.getContext = () => null;
    });
    await page.goto(`/models/${id}/rig`);
    const drawn = page.getByRole('main').locator('svg[data-picture="plain"]');
    await expect(drawn).toBeVisible();
    await page.goto(`/models/${id}/mounting`);
    await expect(drawn).toBeVisible();
    await expect(page.getByTestId('sits')).toBeVisible();
  });
  test('a browser that keeps nothing still does the job', async ({ page }) => {
    const id = await newModel(page, 'Stored stork');
    await page.addInitScript(() => {
      for (const name of ['sessionStorage', 'localStorage'])
        Object.defineProperty(window, name, {
          get() {
            throw new DOMException('denied', 'SecurityError');
          },
        });
    });
    await page.goto(`/models/${id}/job`);
    await expect(page.getByRole('heading', { name: 'The whole job' })).toBeVisible();
    await page.goto(`/models/${id}/plain-model`);
    await setEnd(page, '-85');
    await expect(page.getByText('Saved, version 2')).toBeVisible();
    await page.goto(`/models/${id}/entry`);
    await page.getByRole('main').getByRole('checkbox').first().check();
  });
});
