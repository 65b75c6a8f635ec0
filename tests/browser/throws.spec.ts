import { expect } from '@playwright/test';
import { newModel, test } from './kit';

test('a throw is typed in millimetres or pulled, and the endpoint that gives it is worked out', async ({
  page,
}) => {
  await page.goto(`/models/${await newModel(page, 'Thrown')}/throws`);
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  const card = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Elevator', exact: true }) });
  const up = card.getByLabel(/^Elevator up with/);
  const before = Number(await up.inputValue());
  await up.fill(String(before - 3));
  await up.press('Enter');
  await expect(up).toHaveValue(String(before - 3));
  await expect(card.getByRole('status')).toHaveText(/^Now channel \d+, (lower|upper) end \d+ %\.$/);

  await up.fill('900');
  await up.press('Enter');
  await expect(card.getByRole('alert')).toHaveText(/The endpoints of elevator allow/);
  await up.press('Escape');

  const handle = card.locator('svg circle.knob').last();
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y - 12, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
});
