import { expect, type Page } from '@playwright/test';
import { makeSetup } from '../kit/setups';
import { newModel, provenModel, test } from './kit';

test.use({ turns: 1 });

// Here nobody says yes by himself.
test.use({ confirms: false });

const gate = (page: Page) => page.getByRole('group', { name: 'Before you go on' });
const confirm = async (page: Page) => {
  const open = gate(page).locator('input:not(:checked)');
  // The question goes with the last answer.
  while ((await open.count()) > 0) await open.first().click();
};

test('no preflight with a gate open: not by hand, not by key, not past the page', async ({
  page,
}) => {
  const id = await provenModel(page, 'Gated gadwall');
  await page.goto(`/models/${id}/preflight`);
  await expect(gate(page).getByRole('checkbox')).toHaveCount(2);
  // First on the page, in view, and large.
  await expect(gate(page)).toBeInViewport();
  const begin = page.getByRole('button', { name: 'Go through it now' });
  await expect(page.locator('[data-gate=open]')).toHaveCount(1);
  await begin.click({ force: true, timeout: 2000 }).catch(() => undefined);
  await page.keyboard.press('y');
  await expect(page.getByText(/^1 of \d+ ·/)).toHaveCount(0);
  // One of two is not all.
  await gate(page).getByRole('checkbox').first().check();
  await expect(page.locator('[data-gate=open]')).toHaveCount(1);
  const refused = await page.request.post(`/api/models/${id}/preflight`, {
    data: { version: 1, answers: { look: 'pass' } },
  });
  expect(refused.status()).toBe(428);
  expect(await refused.text()).toContain('held');
  await confirm(page);
  await expect(page.locator('[data-gate=shut]')).toHaveCount(1);
  await begin.click();
  await expect(page.getByText(/^1 of \d+ ·/)).toBeVisible();
});

test('it lapses after an hour, and when the bench is set up for something else', async ({
  page,
}) => {
  await page.clock.install();
  const id = await newModel(page, 'Lapsing lapwing');
  await page.goto(`/models/${id}/sticks`);
  await confirm(page);
  await expect(page.locator('[data-gate=shut]')).toHaveCount(1);
  await page.clock.fastForward('59:00');
  await expect(page.locator('[data-gate=shut]')).toHaveCount(1);
  await page.clock.fastForward('02:00');
  await expect(page.locator('[data-gate=open]')).toHaveCount(1);
  await confirm(page);
  await page.goto(`/models/${id}/failsafe`);
  await expect(gate(page).getByRole('checkbox')).toHaveCount(2);
  for (const box of await gate(page).getByRole('checkbox').all())
    await expect(box).not.toBeChecked();
});

test('the server refuses an answer of powered work that nobody called safe', async ({ page }) => {
  const id = await newModel(page, 'Refused redshank');
  const post = (data: object) => page.request.post(`/api/models/${id}/observations`, { data });
  const seen = { check: 'stick-roll', surface: 'aileron-left', seen: 'up', version: 1 };
  expect((await post(seen)).status()).toBe(428);
  const sure = (at: Date) => [{ caution: 'prop-off', at: at.toISOString() }];
  const old = { session: 'prop-off', sure: sure(new Date(Date.now() - 2 * 3_600_000)) };
  expect((await post({ ...seen, bench: old })).status()).toBe(428);
  const other = { session: 'link-off', sure: sure(new Date()) };
  expect((await post({ ...seen, bench: other })).status()).toBe(428);
  // An answer cannot have been given later than now.
  const ahead = new Date(Date.now() + 90 * 60_000);
  expect(
    (
      await post({
        ...seen,
        at: ahead.toISOString(),
        bench: { session: 'prop-off', sure: sure(ahead) },
      })
    ).status(),
  ).toBe(428);
  const now = { session: 'prop-off', sure: sure(new Date()) };
  expect((await post({ ...seen, bench: now })).status()).toBe(200);
});

test('a model without a motor is asked nothing of one', async ({ page }) => {
  const setup = structuredClone(makeSetup());
  const own = new Set(setup.airframe.motors.map((m) => m.id));
  setup.airframe.motors = [];
  setup.installation.plugs = setup.installation.plugs
    .map((p) => ({ ...p, drives: p.drives.filter((d) => !own.has(d)) }))
    .filter((p) => p.drives.length > 0);
  delete setup.intents.program.cut;
  const made = await page.request.post('/api/import', {
    data: { ...setup, name: 'Motorless merlin' },
  });
  const { id } = (await made.json()) as { id: string };
  for (const station of ['sticks', 'failsafe', 'preflight']) {
    await page.goto(`/models/${id}/${station}`);
    await expect(page.locator('[data-gate=shut]')).toHaveCount(1);
    await expect(gate(page)).toHaveCount(0);
    await expect(page.locator('main')).not.toContainText(/propeller/i);
  }
});
