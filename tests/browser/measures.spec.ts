import { expect } from '@playwright/test';
import { newModel, test } from './kit';

test('inches, ounces and miles: typed as people write them, kept metric, said everywhere', async ({
  page,
}) => {
  const id = await newModel(page, 'Inches');
  await page.goto(`/models/${id}/model`);
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await page.getByText('in, oz, mph').click();
  const span = page.getByLabel('span (or width), in');
  await span.fill('55 1/8"');
  await span.press('Enter');
  await expect(span).toHaveValue('55.13');
  const mass = page.getByLabel('mass, ready to go, oz');
  await mass.fill('3 lb 6 oz');
  await mass.press('Enter');
  await expect(mass).toHaveValue('54');
  await mass.fill('3 feet');
  await mass.press('Enter');
  await expect(page.getByText('Write a number.')).toBeVisible();
  await mass.press('Escape');
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  const { airframe } = (await (await page.request.get(`/api/models/${id}/export`)).json()) as {
    airframe: { measures: { spanMm: number; massG: number } };
  };
  expect(airframe.measures.spanMm).toBeCloseTo(1400.175, 3);
  expect(airframe.measures.massG).toBeCloseTo(1530.87, 1);

  await page
    .getByRole('navigation', { name: 'Stations of the job' })
    .getByRole('link', { name: 'Throws and endpoints' })
    .click();
  await expect(page.getByText(/elevator: [\d.]+ in \(\d+°\) (up|down)/).first()).toBeVisible();
  // Chosen once, for this device.
  await page.reload();
  await expect(page.getByLabel(/^Elevator up with .*, in$/)).toBeVisible();
});
