import { expect } from '@playwright/test';
import { expectAccessible, expectNoSideways, newModel, recordTexts, test } from './kit';

test('a unit is copied, described otherwise, tried on the bench, and fitted to a model', async ({
  page,
}) => {
  await page.goto('/hangar');
  await page.getByRole('button', { name: 'Copy Button-set four-channel stabilizer' }).click();
  await expect(page.getByRole('heading', { name: /stabilizer, copy/ })).toBeVisible();
  await page.getByLabel('What you call it').fill('Blue box, second hand');
  await page.getByLabel('What you call it').press('Enter');
  await page.getByRole('button', { name: /^What it shows/ }).click();
  await page.getByLabel('Colour in rate damping').selectOption('red');
  await page.getByLabel('blinks in rate damping').fill('3');
  await page.getByLabel('blinks in rate damping').press('Enter');
  await page.getByLabel('twitches at power-up').fill('2');
  await page.getByLabel('twitches at power-up').press('Enter');
  await expect(page.getByText(/saved\. Copied from Button-set.*differences/)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^What it shows/ }).click();
  await expect(page.getByLabel('Colour in rate damping')).toHaveValue('red');
  await expect(page.getByLabel('twitches at power-up')).toHaveValue('2');

  // Side by side with the one it was copied from.
  const differ = page.getByRole('region', { name: 'Where they differ' });
  await expect(differ.getByRole('row', { name: /^twitches at power up/ })).toContainText('2');
  await expect(differ.getByRole('row', { name: /rate · colour/ })).toContainText('red');

  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('heading', { name: 'The unit: off' })).toBeVisible();
  await page.keyboard.press('7');
  await expect(page.getByText('its light: red, 3 blinks')).toBeVisible();
  const shown = await recordTexts(page);
  await page.getByRole('button', { name: 'Power up' }).click();
  await expect(page.getByText('2 twitches at power-up: count them on yours.')).toBeVisible();
  expect(await shown()).toEqual(expect.arrayContaining(['Twitch 1 of 2', 'Twitch 2 of 2']));
  await page.getByRole('button', { name: 'On one page' }).click();
  await expect(page.getByText('be switched off from the transmitter')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'In this order' })).toBeVisible();
  await expectAccessible(page);

  const id = await newModel(page, 'Hangar teal');
  await page.goto(`/models/${id}/unit`);
  await page
    .getByLabel('Fit another unit to this model')
    .selectOption({ label: 'Blue box, second hand (yours)' });
  await page.getByRole('button', { name: 'Fit it and plan again' }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.goto(`/models/${id}/rig`);
  await expect(page.getByText('its light: dark')).toBeVisible();
  await page.goto(`/models/${id}/plan`);
  await expect(page.getByRole('button', { name: 'Move gain to another channel' })).toHaveCount(0);
});

test('a unit is asked without a model, with servos on the table', async ({ page }) => {
  await page.goto('/hangar');
  await page.getByRole('link', { name: 'Menu receiver with numbered modes' }).click();
  await page.getByRole('button', { name: 'Ask it on the table' }).click();
  await expect(page).toHaveURL(/\/models\/\w+\/ask$/);
  await expect(page.getByText('Experiment 1', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: /, on the table/ }).first()).toBeVisible();
});

test('what cannot be is refused at its field, in the hangar too', async ({ page }) => {
  await page.goto('/hangar');
  await page.getByRole('button', { name: 'Copy Menu receiver with numbered modes' }).click();
  await page.getByRole('button', { name: /^How it is controlled/ }).click();
  const from = page.getByLabel('from, µs').nth(1);
  await from.fill('1200');
  await from.press('Enter');
  await expect(page.getByText(/overlaps band 0/).first()).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^How it is controlled/ }).click();
  await expect(page.getByLabel('from, µs').nth(1)).toHaveValue('1333');
  const id = page.url().split('/').at(-1)!;
  const copy = await page.request.post('/api/hangar', { data: { copy: id } });
  const second = ((await copy.json()) as { id: string }).id;
  await page.reload();
  await page.getByLabel('Compared with').selectOption(second);
  await expect(page.getByText(/copies form a loop/)).toBeVisible();
  const list = (await (await page.request.get('/api/hangar')).json()) as {
    id: string;
    copyOf?: string;
  }[];
  expect(list.find((p) => p.id === id)?.copyOf).toBe('menu-receiver');
});

test('a hangar file with something wrong in it changes nothing and says where', async ({
  page,
}) => {
  await page.goto('/hangar');
  await page.getByLabel('Hangar file').setInputFiles({
    name: 'hangar.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      '{"format":"tolvan-hangar","version":1,"parts":[{"id":"x","kind":"unit"}]}',
    ),
  });
  await expect(page.getByText('Nothing changed.')).toBeVisible();
  await expect(page.getByText(/\/parts\/0\/body/)).toBeVisible();
});

test('controls are moved on the drawing with the keyboard', async ({ page }) => {
  const id = await newModel(page, 'Drawn wigeon');
  await page.goto(`/models/${id}/transmitter`);
  const knob = page.getByRole('button', { name: 'Knob 1, knob' });
  const before = (await knob.boundingBox())!;
  await knob.focus();
  await page.keyboard.press('Space');
  for (let i = 0; i < 5; i++) {
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(60);
  }
  await page.keyboard.press('Space');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  const after = (await knob.boundingBox())!;
  expect(after.x - before.x).toBeGreaterThan(15);
});

test('flaps, a wheel and a second motor come to a model that is there already', async ({
  page,
}) => {
  const id = await newModel(page, 'Growing gull');
  await page.goto(`/models/${id}/model`);
  await page.getByRole('checkbox', { name: 'flaps' }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.getByLabel('A wheel that steers?').selectOption('separate');
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await page.getByLabel('Motors').selectOption('2');
  await expect(page.getByText('Saved, version 4')).toBeVisible();
  await page.getByLabel(/^Ailerons/).selectOption('two-outputs');
  await expect(page.getByText('Saved, version 5')).toBeVisible();
  await page.goto(`/models/${id}/plan`);
  for (const f of ['flaps', 'wheel', 'second aileron'])
    await expect(page.getByRole('button', { name: `Move ${f} to another channel` })).toBeVisible();
  await page.goto(`/models/${id}/throws`);
  await page.getByLabel('less down than up').fill('30');
  await page.getByLabel('less down than up').press('Enter');
  await expect(page.getByText('Saved, version 6')).toBeVisible();
  await expect(page.getByLabel('less down than up')).toHaveValue('30');
});

test('an arm the horn cannot follow is refused at its field', async ({ page }) => {
  const id = await newModel(page, 'Locked lapwing');
  await page.goto(`/models/${id}/throws`);
  await page.getByText('Chord, arm, horn and rod').first().click();
  const arm = page.getByLabel('servo arm, mm').first();
  await arm.fill('60');
  await arm.press('Enter');
  await expect(page.getByText(/the rod locks when the servo has turned/).first()).toBeVisible();
  await expect(page.getByText('Saved, version 1')).toBeVisible();
});

test('the editors of the hangar fit a phone', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 780 });
  const copy = await page.request.post('/api/hangar', { data: { copy: 'autopilot' } });
  const { id } = (await copy.json()) as { id: string };
  const tx = await page.request.post('/api/hangar', { data: { copy: 'line-sixteen' } });
  const txId = ((await tx.json()) as { id: string }).id;
  for (const path of [`/hangar/${id}`, `/hangar/${txId}`]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectNoSideways(page);
    await expectAccessible(page);
  }
});
