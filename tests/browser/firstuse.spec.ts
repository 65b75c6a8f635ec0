import { expect, type Page } from '@playwright/test';
import { expectAccessible, newModel, openModel, test } from './kit';

/** The middle of the first place a word stands in the work, on the screen. */
const placeOf = (page: Page, word: string) =>
  page.locator('#main').evaluate((main, wanted) => {
    const texts = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const from = node.textContent!.indexOf(wanted);
      if (from < 0 || node.parentElement!.closest('button, a, label')) continue;
      const range = new Range();
      range.setStart(node, from);
      range.setEnd(node, from + wanted.length);
      const box = range.getBoundingClientRect();
      return { x: box.left + box.width / 2, y: box.top + box.height / 2 };
    }
    throw new Error(`“${wanted}” is not here`);
  }, word);

test.describe('on a new device', () => {
  test.use({ tour: true });
  test('a tour of five steps, skipped with one key and never shown again', async ({ page }) => {
    const id = await newModel(page, 'Touring teal');
    await page.goto(`/models/${id}/model`);
    const tour = page.getByRole('dialog', { name: 'A short tour' });
    await expect(tour).toContainText('1 of 5');
    await expectAccessible(page);
    for (const title of ['The work', 'The rig', 'What Tolvan checks', 'What comes next']) {
      await tour.getByRole('button', { name: 'Next' }).click();
      await expect(tour.getByRole('heading')).toHaveText(title);
    }
    await tour.getByRole('button', { name: 'Back' }).click();
    await expect(tour).toContainText('4 of 5');
    await page.keyboard.press('Escape');
    await expect(tour).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.goto(`/models/${id}/plan`);
    await expect(tour).toHaveCount(0);
  });
});

test('a trade word is explained where it stands, in the list of keys, and by find', async ({
  page,
}) => {
  await openModel(page, 'Tern', 'Panic');
  await expect(page.getByText('WRONG in the program')).toBeVisible();
  const tip = page.getByRole('tooltip');
  await expect
    .poll(async () => {
      const { x, y } = await placeOf(page, 'self-levelling');
      await page.mouse.click(x, y);
      return tip.count();
    })
    .toBe(1);
  await expect(tip).toContainText('brings the model back to level flight');
  await page.keyboard.press('Escape');
  await expect(tip).toHaveCount(0);

  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Keys and words' });
  await expect(help.getByRole('heading', { name: 'Words on this page' })).toBeVisible();
  await expect(help).toContainText('Panic recovery: A button that brings self-levelling');
  await help.getByRole('button', { name: 'Close' }).click();

  await page.keyboard.press('/');
  await page.getByPlaceholder(/^A station, control/).fill('subtrim');
  await page.getByRole('option', { name: /^Subtrim A small shift/ }).click();
  await expect(page.getByRole('dialog', { name: 'Subtrim' })).toContainText(
    'to get a surface in line',
  );
});
