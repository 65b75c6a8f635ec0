import { expect, test } from '@playwright/test';
import { expectAccessible, expectNoSideways, openModel } from './kit';

import { STATIONS } from '@/ui/frame/stations';

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]) {
  test.describe(`${size.width} wide`, () => {
    test.use({ viewport: size });
    test('shelf and new model', async ({ page }) => {
      await page.goto('/');
      await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
      await expectAccessible(page);
      await expectNoSideways(page);
      await page.goto('/models/new');
      await expectAccessible(page);
      await expectNoSideways(page);
    });
    for (const { title: station } of STATIONS)
      test(station, async ({ page }) => {
        const errors: string[] = [];
        page.on('pageerror', (e) => errors.push(e.message));
        page.on('console', (m) => m.type() === 'error' && errors.push(m.text()));
        await openModel(page, 'Loon', station);
        await expect(page.getByRole('heading').first()).toBeVisible();
        if (station === 'Rig') await expect(page.getByTestId('twin-now')).toBeVisible();
        await expectAccessible(page);
        await expectNoSideways(page);
        expect(errors).toEqual([]);
      });
  });
}

test('all three lights keep their contrast', async ({ page }) => {
  for (let i = 0; i < 3; i++) {
    await openModel(page, 'Otter', 'Directions');
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Light/ }).click();
  }
});

test('keys are listed by ?', async ({ page }) => {
  await openModel(page, 'Loon', 'Rig');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});
