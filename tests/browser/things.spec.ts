import { expect } from '@playwright/test';
import { expectAccessible, newModel, test } from './kit';

test('a model is copied, tagged, deleted and restored', async ({ page }) => {
  await newModel(page, 'Dipper');
  await page.goto('/?find=Dipper');
  const menu = (name: string) =>
    page.getByRole('button', { name: `What to do with ${name}`, exact: true });
  await menu('Dipper').click();
  await page.getByRole('menuitem', { name: 'Copy it' }).click();
  await expect(page).toHaveURL(/\/model$/);
  await page.goto('/?find=Dipper');
  await expect(page.getByRole('heading', { name: 'Dipper, copy' })).toBeVisible();

  await menu('Dipper, copy').click();
  await page.getByRole('menuitem', { name: 'Another name …' }).click();
  await page.getByLabel('What you call it').fill('Dunlin');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Renamed.')).toBeVisible();
  await page.goto('/?find=Dunlin');
  await menu('Dunlin').click();
  await page.getByRole('menuitem', { name: 'Tags …' }).click();
  await page.getByLabel(/^Tags, separated/).fill('beach winter');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Tags kept.')).toBeVisible();
  await page.goto('/?find=beach');
  await expect(page.getByRole('heading', { name: 'Dunlin' })).toBeVisible();

  await menu('Dunlin').click();
  await page.getByRole('menuitem', { name: 'Delete …' }).click();
  await expect(
    page.getByText('This deletes 2 versions, 0 answers from the bench and 0 lines of its log.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByText('Dunlin is deleted.')).toBeVisible();
  await page.goto('/?kept=off');
  await expectAccessible(page);
  await menu('Dunlin').click();
  await page.getByRole('menuitem', { name: 'Restore it' }).click();
  await expect(page.getByText('Dunlin is back on the shelf.')).toBeVisible();
});

test('a model starts from a ready-made one, with two presses', async ({ page }) => {
  await page.goto('/models/new');
  await page.getByRole('button', { name: /^Drift car/ }).click();
  await expect(page).toHaveURL(/\/model$/);
  await expect(page.getByText('Drift car').first()).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Stations of the job' })
    .getByRole('link', { name: 'Steering' })
    .click();
  await expect(page.getByText('at the stop, and no further')).toHaveCount(2);
});
