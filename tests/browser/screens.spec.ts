import { expect, type Page } from '@playwright/test';
import { expectAccessible, expectNoSideways, openModel, test } from './kit';
import { STATION_IDS } from '@/core/procedure';
import { share } from '../kit/share';

// Every second day: what a screen shows is looked at whenever it is changed.
test.use({ turns: 2 });

/** Opens a page and holds that nothing in it went wrong. */
async function openQuietly(page: Page, path: string) {
  const errors: string[] = [];
  page.on('pageerror', (e) => errors.push(e.message));
  page.on('console', (m) => m.type() === 'error' && errors.push(m.text()));
  await page.goto(path);
  await expect(page.getByRole('heading').first()).toBeVisible();
  return errors;
}

/** The demo floatplane's pages, without the way over the shelf. */
async function loonPath(page: Page) {
  await page.goto('/?find=Loon');
  return (await page.getByRole('link', { name: 'Loon' }).getAttribute('href'))!.replace('/job', '');
}

test('a station is as wide as its window, on a desk and on two phones, without an error', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const path = await loonPath(page);
  for (const id of share(STATION_IDS, 12)) {
    await page.setViewportSize({ width: 1280, height: 800 });
    const errors = await openQuietly(page, `${path}/${id}`);
    if (id === 'rig') await expect(page.getByTestId('twin-now')).toBeVisible();
    for (const [width, height] of [
      [1280, 800],
      [390, 844],
      [360, 740],
    ] as const) {
      await page.setViewportSize({ width, height });
      await expectNoSideways(page);
    }
    expect(errors, id).toEqual([]);
  }
});

for (const id of share(STATION_IDS, 16))
  test(`${id}: accessible`, async ({ page }) => {
    await page.goto(`${await loonPath(page)}/${id}`);
    if (id === 'rig') await expect(page.getByTestId('twin-now')).toBeVisible();
    await expectAccessible(page);
  });

test('shelf and new model, on a desk and on a phone', async ({ page }) => {
  for (const path of ['/', '/models/new', '/hangar']) {
    await page.setViewportSize({ width: 1280, height: 800 });
    expect(await openQuietly(page, path)).toEqual([]);
    await expectAccessible(page);
    await expectNoSideways(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await expectNoSideways(page);
  }
});

test('all three lights keep their contrast', async ({ page }) => {
  await openModel(page, 'Otter', 'Sticks');
  for (let i = 0; i < 3; i++) {
    const light = page.getByRole('button', { name: /^Light/ });
    const name = (await light.getAttribute('aria-label'))!;
    await expectAccessible(page);
    await light.click();
    await expect(light).not.toHaveAccessibleName(name);
  }
});

test('keys are listed by ?', async ({ page }) => {
  await openModel(page, 'Loon', 'Program');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys and words' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});
