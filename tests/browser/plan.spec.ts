import { expect } from '@playwright/test';
import { newModel, openModel, test, setWord } from './kit';

test('with too few channels the plan says what gives, and what else could', async ({ page }) => {
  await page.goto('/models/new');
  await page.getByLabel('What do you call it?').fill('Six and a switch');
  await page.getByLabel('Which transmitter is most like yours?').selectOption('switch-value-six');
  await page.getByLabel('How are the ailerons moved?').selectOption('two-outputs');
  await page.getByRole('checkbox', { name: 'flaps' }).check();
  await expect(page.getByText('join both ailerons on a y-lead')).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: /Plan and wiring/ })
    .click();
  await expect(page.getByRole('heading', { name: 'Not enough channels' })).toBeVisible();
  await expect(page.getByText(/Channel 7 is used for/)).toBeVisible();
});

test('a row is pinned, refused where it cannot be, and planned round', async ({ page }) => {
  await openModel(page, 'Loon', 'Plan');
  const mode = page.getByRole('button', { name: 'Move mode to another channel' });
  const row = (channel: number) =>
    page.locator('li', { has: page.locator(`[data-channel="${channel}"]`) });
  await expect(row(6)).toContainText('mode');
  // Dragged to the channel below, with the keys: those that stood there make room.
  await mode.focus();
  await page.keyboard.press('Space');
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('ArrowUp');
    await page.waitForTimeout(80);
  }
  await page.keyboard.press('Space');
  await expect(page.getByText(/Fixed here by you/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Unpin mode' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(row(6)).toContainText('mode');
});

test('a fault is shown on the rig from its finding, and mended from it', async ({ page }) => {
  const id = await newModel(page, 'Bench wren');
  await page.goto(`/models/${id}/settings`);
  await setWord(page, 'Roll', 'reversed');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.goto(`/models/${id}/proof`);
  await page.getByRole('button', { name: /Show me: raise the left wing/ }).click();
  const rig = page.getByRole('complementary', { name: 'The rig' });
  await expect(rig.locator('strong').first()).toHaveText('Rate damping');
  await page.keyboard.press('r');
  await page.getByRole('button', { name: 'Raise left wing' }).click();
  await expect(page.getByTestId('twin-last')).toContainText('left aileron down');
  await page.keyboard.press('r');
  await page.getByRole('button', { name: /Reverse the roll correction/ }).click();
  await expect(page.getByText(/No problems found/).first()).toBeVisible();
});

test('the model is named and measured, the transmitter described, and wrong words are refused in place', async ({
  page,
}) => {
  const id = await newModel(page, 'Bench dipper');
  await page.goto(`/models/${id}/model`);
  await page.getByLabel('mass, ready to go').fill('-5');
  await page.getByLabel('mass, ready to go').press('Enter');
  await expect(page.getByText('From 5 to 100000 g.')).toBeVisible();
  await page.getByLabel('mass, ready to go').fill('1450');
  await page.getByLabel('mass, ready to go').press('Enter');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Dipper, renamed');
  await page.getByRole('textbox', { name: 'Name', exact: true }).press('Enter');
  await expect(page.getByRole('link', { name: 'Dipper, renamed' })).toBeVisible();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await page.goto(`/models/${id}/transmitter`);
  await page.getByRole('button', { name: 'Remove Switch A' }).click();
  await expect(page.getByText(/Not changed: the transmitter has no control "sa"/)).toBeVisible();
  await page.getByRole('button', { name: 'Remove Switch B' }).click();
  await expect(page.getByText('Saved, version 4')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Remove Switch B' })).toHaveCount(0);
});

test('a unit is described otherwise, and what cannot be is refused at its question', async ({
  page,
}) => {
  const id = await newModel(page, 'Bench finch');
  await page.goto(`/models/${id}/unit`);
  await page.getByText(/Yours differs\? Describe it/).click();
  await page.getByRole('button', { name: /^How it is controlled/ }).click();
  await page.getByRole('button', { name: 'self-levelling', exact: true }).click();
  await expect(page.getByText(/Not changed: this unit has no level mode/)).toBeVisible();
  await page
    .getByRole('combobox', { name: 'How does it read its gain channel?', exact: true })
    .click();
  await page.getByRole('option', { name: 'it has none' }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await expect(page.getByLabel('Without its gain lead it …')).toHaveCount(0);
  await page.goto(`/models/${id}/rig`);
  await expect(page.getByText('100 %').first()).toBeVisible();
});
