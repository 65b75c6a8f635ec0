import { expect } from '@playwright/test';
import { newModel, test } from './kit';

test('somebody who only says "could not tell" is led to a way to see it', async ({ page }) => {
  const id = await newModel(page, 'Unsure avocet');
  await page.goto(`/models/${id}/directions`);
  const section = page.locator('section[data-check]');
  // Past the sticks, to the first correction.
  for (let i = 0; i < 12; i++) {
    const check = await section.getAttribute('data-check');
    if (check?.startsWith('correction')) break;
    await page.keyboard.press('s');
    await expect(section).not.toHaveAttribute('data-check', 'none');
    await page.waitForTimeout(60);
  }
  await expect(section).toHaveAttribute('data-check', 'correction-roll');
  const aid = page.getByRole('status', { name: 'A way to see it' });
  await page.keyboard.press('u');
  await expect(aid).toContainText('Turn the gain fully up');
  await page.keyboard.press('u');
  await expect(aid).toContainText('Rock it to and fro');
  await page.keyboard.press('u');
  // The third time: a mode in which the surface stays over and there is time to look.
  await expect(aid).toContainText('stays over as long as you hold the model');
  await page.keyboard.press('i');
  await expect(section).toHaveAttribute('data-check', 'correction-roll-level');
  await expect(section.getByRole('heading')).toContainText('keep it there');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('11 of 12 to look at')).toBeVisible();
});
