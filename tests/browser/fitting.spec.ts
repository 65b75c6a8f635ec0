import { expect } from '@playwright/test';
import { newModel, test } from './kit';

test('six faces: shown end for end is named, and good readings give scale and bias', async ({
  page,
}) => {
  const id = await newModel(page, 'Faced fieldfare');
  await page.goto(`/models/${id}/calibration`);
  await page.getByRole('button', { name: '… shown end for end' }).click();
  const aside = page.getByRole('complementary', { name: /^(?!The rig)/ });
  await expect(aside.getByRole('alert')).toContainText('Turn it end for end');
  await page.getByRole('button', { name: 'Try with an invented sensor' }).click();
  await expect(aside.getByRole('status')).toContainText('1.012');
  await expect(aside.getByRole('status')).toContainText('good');
  await aside.getByRole('textbox').fill('0 0 -1\n0 0 rubbish');
  await expect(aside.getByRole('alert')).toContainText('Line 2');
  await page.getByRole('button', { name: 'Accepted, next face' }).click();
  await expect(page.getByRole('heading', { name: /underside up/ })).toBeVisible();
});

test('the unit is turned by hand, told, and what it was shown goes stale', async ({ page }) => {
  const id = await newModel(page, 'Turned turnstone');
  await page.goto(`/models/${id}/mounting`);
  await expect(page.getByTestId('sits')).toHaveText('arrow to the nose, label up');
  await page.getByRole('button', { name: /Yes, correct.*step 1/ }).click();
  await expect(page.getByText('1 of 2 confirmed')).toBeVisible();
  // A quarter turn about the upright axis by dragging across the drawing.
  await page.getByTestId('seat').scrollIntoViewIfNeeded();
  const box = (await page.getByTestId('seat').boundingBox())!;
  await page.mouse.move(box.x + 100, box.y + 100);
  await page.mouse.down();
  await page.mouse.move(box.x + 280, box.y + 100, { steps: 6 });
  await expect(page.getByTestId('sits')).toHaveText('arrow to the right, label up');
  await page.mouse.up();
  await expect(page.getByText('These two differ')).toBeVisible();
  await expect(page.getByText(/Check again: .*how the unit sits in the model/)).toBeVisible();
  await page.getByRole('button', { name: 'Set its orientation' }).click();
  await expect(page.getByText('These two differ')).toHaveCount(0);
});

test('a unit that learns which way it is mounted is tried first, and the school is chosen', async ({
  page,
}) => {
  const made = await page.request.post('/api/models', {
    data: {
      name: 'Learning lapwing',
      kind: 'conventional',
      ailerons: 'y-lead',
      unit: 'satellite-gyro',
      transmitter: 'line-sixteen',
    },
  });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/models/${id}/mounting`);
  await expect(page.getByText(/Let the unit learn how it is mounted: lift the tail/)).toBeVisible();
  await expect(page.getByText(/It learns/)).toContainText(': right.');
  await page.getByLabel('swung out of square by').fill('35');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/too far \(beyond about 15°\)/)).toBeVisible();
  await expect(page.getByText('exactly on the centre line', { exact: true })).toHaveCount(0);
  await page.getByRole('radio', { name: 'anywhere on the centre line' }).click();
  await expect(page.getByText('exactly on the centre line', { exact: true })).toBeVisible();
});

test('a unit that lies flat only: what it cannot be told is said at once', async ({ page }) => {
  const reply = await page.request.post('/api/models', {
    data: {
      name: 'Flat flycatcher',
      kind: 'conventional',
      ailerons: 'y-lead',
      unit: 'switch-receiver',
      transmitter: 'line-sixteen',
    },
  });
  const { id } = (await reply.json()) as { id: string };
  await page.goto(`/models/${id}/mounting`);
  const sits = page.getByRole('group', { name: 'In the model it is mounted with' });
  await sits.getByLabel('arrow towards the').click();
  await page.getByRole('option', { name: 'to the tail' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be set that way' })).toContainText(
    'its arrow may point only to the nose',
  );
});

test('centres: what will be learned is written down; level is captured on its block', async ({
  page,
}) => {
  const id = await newModel(page, 'Level linnet');
  await page.goto(`/models/${id}/capture`);
  await page.getByRole('button', { name: /Record as captured/ }).click();
  await expect(page.getByRole('cell', { name: 'the same' })).toHaveCount(3);
  await page.goto(`/models/${id}/level`);
  await page.getByLabel('the block you have').fill('0');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /Write down: captured at/ }).click();
  await expect(page.getByText(/Written down: captured at/)).toBeVisible();
  await page.goto(`/models/${id}/proof`);
  await expect(page.getByText(/Level was captured/)).toBeVisible();
});
