import { expect } from '@playwright/test';
import { unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { expectAccessible, newModel, test } from './kit';

test('a flight is written down, found again, and counts as recorded', async ({ page }) => {
  const id = await newModel(page, 'Logged lapwing');
  await page.goto(`/models/${id}/logbook`);
  await page.getByLabel('In a word').fill('First hop');
  await page.getByRole('textbox', { name: 'Place' }).fill('north shore');
  await page.getByLabel('Minutes').fill('7.5');
  await page.getByLabel('Gain read off the monitor').fill('-8');
  await page.getByLabel('What was seen').fill('Nose up a little; 50 % throttle is plenty.');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Flight · First hop')).toBeVisible();
  await expect(page.getByText('7.5 min · gain read -8')).toBeVisible();
  await page.getByText('Work', { exact: true }).and(page.locator('button, label')).click();
  await page.getByLabel('What', { exact: true }).fill('New horn on the elevator');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Work · New horn on the elevator')).toBeVisible();

  await page.getByRole('searchbox', { name: 'Find' }).fill('nose rudder');
  await expect(page.getByText('Nothing in the logbook matches.')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).fill('throttle nose');
  await expect(page.getByText('Flight · First hop')).toBeVisible();
  await expect(page.getByText('Work · New horn on the elevator')).toHaveCount(0);
  await page.getByRole('searchbox', { name: 'Find' }).fill('');
  await page.getByRole('combobox', { name: /^Kind/ }).selectOption('maintenance');
  await expect(page.getByText('Flight · First hop')).toHaveCount(0);
  await page.goto(`/models/${id}/job`);
  const stations = page.getByRole('navigation', { name: 'Stations' });
  await expect(stations.getByRole('link', { name: /Logbook.*proven/ })).toBeVisible();
});

test('two versions are compared in words, and the older comes back as a new one', async ({
  page,
}) => {
  const id = await newModel(page, 'Versioned vole');
  await page.goto(`/models/${id}/plain-model`);
  const field = page.getByLabel('subtrim').first();
  await field.fill('4');
  await field.press('Enter');
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.goto(`/models/${id}/logbook`);
  const compared = page.getByRole('region', { name: 'What changed between' });
  await expect(compared.getByRole('listitem')).toHaveText([/subtrim 0 → 4 %/]);
  const marks = page.getByRole('group', { name: 'Line of time' });
  await marks.getByRole('button', { name: /^Version 2: / }).click();
  const day = page.getByRole('region', { name: 'On that day' });
  await expect(day).toContainText('Changed since version 1');
  await expect(day.getByRole('listitem')).toHaveText([/subtrim 0 → 4 %/]);
  await compared.getByRole('button', { name: 'Back to version 1' }).click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await compared.getByLabel('this version').selectOption('1');
  await compared.getByLabel('and this one').selectOption('3');
  await expect(compared.getByText('Nothing: the two are the same.')).toBeVisible();
});

test('the log goes out and comes in as CSV, after a look at what it would add', async ({
  page,
}) => {
  const id = await newModel(page, 'Tabled thrush');
  await page.goto(`/models/${id}/logbook`);
  const csv = (text: string) => ({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text),
  });
  const file = page.getByLabel('Log as CSV');
  await file.setInputFiles(csv('at,title\r\nsoon,x\r\n'));
  await expect(page.getByText('line 2: "soon" is not a date')).toBeVisible();
  await file.setInputFiles(csv('at,title,kind\r\n2026-03-01T09:00:00Z,"Ice, still",flight\r\n'));
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByText('Flight · Ice, still')).toBeVisible();
  const text = await (await page.request.get(`/api/models/${id}/log?as=csv`)).text();
  expect(text.split('\r\n')[1]).toContain('"Ice, still"');
  await file.setInputFiles(csv(text));
  await expect(page.getByText('All 1 lines are here already.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  // Day or month first: asked once, never guessed.
  await file.setInputFiles(csv('at,title\r\n03.04.2026,Thaw\r\n05.04.2026,Mud\r\n'));
  const asked = page.getByRole('dialog', { name: 'Day or month first?' });
  await expect(asked.getByText('03.04.2026')).toBeVisible();
  await asked.getByRole('button', { name: 'The month comes first' }).click();
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Thaw' })).toContainText('4 Mar 2026');
});

test('the whole workshop goes out as one file; it is checked before it is imported', async ({
  page,
}) => {
  const name = 'Archived auk';
  const id = await newModel(page, name);
  await page.goto('/');
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take a copy' }).click(),
  ]);
  const zip = readFileSync((await saved.path())!);
  expect(Object.keys(unzipSync(zip))).toEqual(
    expect.arrayContaining(['manifest.json', `models/${id}.json`, 'hangar.json', 'tolvan.db']),
  );
  const file = page.getByLabel('Workshop archive');
  await file.setInputFiles({ name: 'w.zip', mimeType: 'application/zip', buffer: zip });
  const dialog = page.getByRole('dialog', { name: 'What it would do' });
  await expect(dialog.getByText(name)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Nothing to import' })).toBeDisabled();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await file.setInputFiles({
    name: 'w.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('PK nothing'),
  });
  await expect(page.getByText('File not imported. Nothing was changed.')).toBeVisible();
});
