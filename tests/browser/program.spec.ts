import { expect } from '@playwright/test';
import { newModel, openModel, settingOf, tabTo, test } from './kit';

test('from wishes to evidence, by keyboard alone', async ({ page }) => {
  test.setTimeout(120_000);
  const id = await newModel(page, 'Keyboard kittiwake');
  await page.goto(`/models/${id}/program`);
  await expect(page.getByText(/Nothing against it/)).toBeVisible();

  // Panic by a mix for each position: chosen with arrow keys in the select.
  await tabTo(page, /^By/);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('held before it acts')).toBeVisible();
  await expect(page.getByText(/Saved, version 3/)).toBeVisible();
  await expect(page.getByText('Panic still lets the stick ask for a large bank')).toBeVisible();
  await tabTo(page, 'Limit the bank in self-levelling to 35°');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Saved, version 4/)).toBeVisible();
  await expect(page.getByText(/Nothing against it/)).toBeVisible();

  // Two positions changed over in the unit: found, shown where, and put back.
  await page.goto(`/models/${id}/unit`);
  await settingOf(page, 'Position 2').getByRole('combobox').selectOption('level');
  await settingOf(page, 'Position 3').getByRole('combobox').selectOption('rate');
  await expect(page.getByText(/Saved, version 6/)).toBeVisible();
  await page.goto(`/models/${id}/proof`);
  await expect(page.getByText('The mode switch does not do what you wished')).toBeVisible();
  await tabTo(page, 'Write the modes as wished');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Nothing against it/)).toBeVisible();
  await expect(
    page.getByRole('heading', { name: /^All \d+ requirements are proven/ }),
  ).toBeVisible();

  // One value read wrong: named, read again, kept.
  await page.goto(`/models/${id}/sheet`);
  const first = page.getByLabel('Channel 6, mode: Switch A far, Momentary M released: shows');
  await expect(first).toBeVisible();
  await tabTo(page, /Channel 6, mode: Switch A far, Momentary M released: shows/, 200);
  await page.keyboard.type('+100');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Channel 6 (mode) is reversed.')).toBeVisible();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('−99 %');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Channel 6 (mode) is reversed.')).toHaveCount(0);
  await expect(page.getByText(/^1 of \d+ as they must be/)).toBeVisible();
  await page.reload();
  await expect(first).toHaveValue('-99');

  // The test with the model in hand.
  await page.goto(`/models/${id}/panic`);
  await expect(page.getByText(/Switch A far.*Press Momentary M and hold it/).first()).toBeVisible();
  await tabTo(page, 'Seen so, step 1');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^1 of \d+ seen as they must be/)).toBeVisible();

  // Changing what it depends on makes it stale, with the reason.
  await page.goto(`/models/${id}/unit`);
  await settingOf(page, 'Position 2').getByRole('combobox').selectOption('hold');
  await expect(page.getByText(/Saved, version 8/)).toBeVisible();
  await page.goto(`/models/${id}/panic`);
  await expect(page.getByText(/since then changed:.*the modes set in the unit/)).toBeVisible();
});

test('a hole in panic is found, shown on the bench, and mended', async ({ page }) => {
  await openModel(page, 'Tern', 'Proof');
  await expect(page.getByText('Panic does not work from everywhere')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^1 of \d+ requirements fail/ })).toBeVisible();
  await expect(page.getByText(/fails from \d+ of \d+ states/).first()).toBeVisible();
  await page.getByLabel(/^Show/).selectOption('panic');
  await expect(page.getByText(/✕/).first()).toBeVisible();
  await page
    .getByRole('link', { name: /Show me: .*then panic/ })
    .first()
    .click();
  await expect(page).toHaveURL(/set=/);
  await expect(page.getByRole('heading', { name: /The unit: (?!self-levelling)/ })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Give each mode position its own amount' }).click();
  await expect(page.getByText('Panic does not work from everywhere')).toHaveCount(0);
  await expect(
    page.getByRole('heading', { name: /^All \d+ requirements are proven/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText('Panic does not work from everywhere')).toBeVisible();
});

test('the table of combinations is filtered and grouped', async ({ page }) => {
  await openModel(page, 'Loon', 'Proof');
  const shown = page.getByText(/\d+ of \d+ combinations/);
  await expect(shown).toBeVisible();
  const all = await shown.innerText();
  await page.getByLabel('Find').fill('switch a near');
  await expect(shown).not.toHaveText(all);
  await expect(page.getByRole('cell', { name: 'self-levelling' }).first()).toBeVisible();
  await page.getByLabel('Find').fill('');
  await page.getByRole('radio', { name: 'mode', exact: true }).check({ force: true });
  await expect(page.getByRole('cell', { name: /^off: \d+$/ })).toBeVisible();
});

test('what cannot be written changes nothing and says why', async ({ page }) => {
  const id = await newModel(page, 'Wishful whimbrel');
  await page.goto(`/models/${id}/program`);
  await page.getByLabel(/^Mode switch/).selectOption('sg');
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
  await page.getByLabel('Switch G far').selectOption('trainer');
  // What else was worked out from it is said before anything is changed.
  const asks = page.getByRole('alertdialog', { name: 'What else would change' });
  await expect(asks).toContainText('Failsafe');
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
  await asks.getByRole('button', { name: 'Change only what I chose' }).click();
  await expect(page.getByText(/Saved, version 3/)).toBeVisible();
  await page.getByLabel('Switch G near').selectOption('hold');
  await expect(page.getByText(/Saved, version 4/)).toBeVisible();
  // Three modes on the bench are three bands; a launch in levelling needs a band for it.
  await page.getByLabel(/^By/).selectOption('replace');
  await expect(page.getByText('This cannot be done; nothing was changed.')).toBeVisible();
  await expect(page.getByText(/put it on one first/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to what it was' }).click();
  await expect(page.getByText('This cannot be done')).toHaveCount(0);
  await expect(page.getByText(/Saved, version 4/)).toBeVisible();
});

test('sheets go out as PDF and Markdown in every style', async ({ page }) => {
  const id = await newModel(page, 'Paper plover');
  for (const style of ['line', 'function', 'switch-value']) {
    const pdf = await page.request.get(`/api/models/${id}/sheet?as=pdf&style=${style}`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
    const md = await page.request.get(`/api/models/${id}/sheet?as=md&style=${style}`);
    expect(await md.text()).toContain('## Read back');
  }
  const wrong = await page.request.get(`/api/models/${id}/sheet?style=poem`);
  expect(wrong.status()).toBe(422);
  expect(((await wrong.json()) as { problems: { path: string }[] }).problems[0]!.path).toBe(
    '/style',
  );
});

test('an answer nobody asked for is refused', async ({ page }) => {
  const id = await newModel(page, 'Refused ruff');
  const post = (data: object) =>
    page.request.post(`/api/models/${id}/observations`, { data: { ...data, version: 1 } });
  expect((await post({ check: 'read:ch6-0', surface: 'ch6', seen: '-99%' })).status()).toBe(200);
  for (const bad of [
    { check: 'read:ch6-0', surface: 'ch6', seen: 'pass' },
    { check: 'read:ch6-999', surface: 'ch6', seen: '1%' },
    { check: 'read:ch6-0', surface: 'ch6', seen: '900%' },
    { check: 'test:failsafe', surface: 'nothing', seen: 'pass' },
    { check: 'test:failsafe', surface: 'motor', seen: '12%' },
    { check: 'test:panic', surface: 'from-1', seen: 'pass' },
  ])
    expect((await post(bad)).status(), JSON.stringify(bad)).toBe(422);
});

test('a sink in the air becomes another block on the bench', async ({ page }) => {
  const id = await newModel(page, 'Sinking snipe');
  await page.goto(`/models/${id}/level`);
  await expect(page.getByText(/^Put \d+ mm under the tail, wings level/)).toBeVisible();
  await page.getByLabel('the block you have').fill('140');
  await page.getByLabel('the block you have').press('Enter');
  await expect(page.getByText(/too low; 1° is/)).toBeVisible();
  await page.getByLabel('sinks by').fill('0.8');
  await page.getByLabel('sinks by').press('Enter');
  await expect(page.getByText(/level was captured about 3.5° too low/)).toBeVisible();
  await page.getByRole('button', { name: /It flies 5.5° nose up/ }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await expect(page.getByLabel('flies nose up by')).toHaveValue('5.5');
  await page.getByLabel('turns right by').fill('4');
  await page.getByLabel('turns right by').press('Enter');
  await page.getByRole('button', { name: /Set the level offset in roll to -/ }).click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
});
