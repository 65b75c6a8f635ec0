import { expect } from '@playwright/test';
import { newModel, test } from './kit';

test('somebody who only says "could not tell" is led to a way to see it', async ({ page }) => {
  const id = await newModel(page, 'Unsure avocet');
  await page.goto(`/models/${id}/corrections`);
  const section = page.locator('section[data-check]');
  await expect(section).toHaveAttribute('data-check', 'correction-roll');
  await expect(page.getByText('You said: The propeller is off')).toBeVisible();
  const aid = page.getByRole('status', { name: 'A way to see it' });
  await page.keyboard.press('u');
  await expect(aid).toContainText('Turn the gain fully up');
  await page.keyboard.press('u');
  await expect(aid).toContainText('Rock it back and forth');
  await page.keyboard.press('u');
  // The third time: a mode in which the surface stays over and there is time to look.
  await expect(aid).toContainText('stays over as long as you hold the model');
  await page.keyboard.press('i');
  await expect(section).toHaveAttribute('data-check', 'correction-roll-level');
  await expect(section.getByRole('heading')).toContainText('keep it there');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/^\d+ of \d+ left$/)).toBeVisible();
});
