import { safely } from '../kit/bench';
import { expect } from '@playwright/test';
import { expectAccessible, expectNoSideways, newModel, provenModel, test } from './kit';

test('the job has one next thing, asks before it can hurt, and remembers that for the session', async ({
  page,
}) => {
  const id = await newModel(page, 'Patient plover');
  await page.goto(`/models/${id}/job`);
  // What was only assumed of the model comes first; then the propeller, before anything has power.
  await expect(page.getByRole('heading', { name: /^Model:/ })).toBeVisible();
  await page.getByRole('link', { name: 'Do it now' }).click();
  await page.getByRole('button', { name: 'Confirm all of it' }).click();
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/safe$/);
  await page.getByRole('button', { name: /^Yes, correct/ }).click();
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/identify$/);
  // Written down, bound; each answer is evidence, not a tick.
  await page.getByLabel('Unit, firmware').fill('3.1');
  await page.getByLabel('Unit, hardware').fill('2');
  await page.getByLabel('Transmitter, firmware').fill('2.10');
  await page.getByLabel('Transmitter, firmware').blur();
  await expect(page.getByText('unit: 2, 3.1')).toBeVisible();
  const know = page.locator('section', { has: page.getByRole('heading', { name: 'Identify' }) });
  for (const button of await know.getByRole('button', { name: /^Yes, correct/ }).all())
    await button.click();
  await expect(know.getByText('2 of 2 confirmed')).toBeVisible();

  // What is shown and compared was.
  const { version } = (await (await page.request.get(`/api/models/${id}`)).json()) as {
    version: number;
  };
  for (const [check, ...items] of [
    ['test:calibration', 'six-faces'],
    ['test:mounting', 'seat', 'picture'],
  ])
    for (const surface of items)
      await page.request.post(`/api/models/${id}/observations`, {
        data: safely({ check, surface, seen: 'pass', version }),
      });
  await page.goto(`/models/${id}/job`);
  // Now it wants the bench: the propeller first.
  const next = page.locator('section', { has: page.locator('#next-title') });
  await expect(next).toContainText('Powered, propeller off');
  await expect(page.getByRole('link', { name: 'Do it now' })).toHaveCount(0);
  for (const box of await next.getByRole('checkbox').all()) await box.check();
  await expect(page.getByRole('link', { name: 'Do it now' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: 'Do it now' })).toBeVisible();
  // Another session at the bench asks again.
  await page.evaluate(() => sessionStorage.clear());
  await page.reload();
  await expect(next.getByRole('checkbox').first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'Do it now' })).toHaveCount(0);
  await expect(
    page.getByText(/this one changes the bench set-up \d times?, the fewest possible/),
  ).toBeVisible();
});

test('something happened: two taps, and what it killed is said with the reason', async ({
  page,
}) => {
  const id = await provenModel(page, 'Ready redshank');
  await page.goto(`/models/${id}/job`);
  await expect(page.getByRole('heading', { name: 'Ready', exact: true })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ready redshank' })).toContainText(
    'ready',
  );

  await page.goto(`/models/${id}/job`);
  await page.getByRole('button', { name: 'Unit moved or removed' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write it down' }).click();
  const killed = page.locator('section', { has: page.locator('#killed-title') });
  await expect(killed).toContainText('Corrections');
  await expect(killed).toContainText('how the unit sits in the model');
  await expect(killed).not.toContainText('Sticks');
  await expect(page.getByRole('heading', { name: 'Ready', exact: true })).toHaveCount(0);
  await expect(page.getByRole('heading', { name: /^Mount:/ })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ready redshank' })).toContainText(
    /steps again: how the unit sits in the model changed/,
  );
  // At any other station it is said as well, where the change is made.
  await page.goto(`/models/${id}/plain-model`);
  await page.getByRole('button', { name: /^normal\s*, channel 2/ }).click();
  await expect(killed).toContainText('the reversal of channel 2');
  await expect(killed.getByRole('link', { name: /^Sticks/ })).toBeVisible();
  await killed.getByRole('button', { name: 'Dismiss' }).click();
  await expect(killed).toHaveCount(0);
  // It is in the log as well.
  await page.goto(`/models/${id}/logbook`);
  await expect(page.getByText('Event · Unit moved or removed')).toBeVisible();
});

test('preflight on a phone, by keys; what is not so keeps it on the ground', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await provenModel(page, 'Checked chiffchaff');
  await page.goto(`/models/${id}/preflight`);
  await expectNoSideways(page);
  await page.getByRole('button', { name: 'Go through it now' }).click();
  await expect(page.getByText('1 of 7')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('y');
  await page.keyboard.press('y');
  await page.keyboard.press('Backspace');
  await expect(page.getByText('2 of 7')).toBeVisible();
  const titles = page.getByRole('main').getByRole('heading', { level: 2 });
  for (let n = 2; n <= 7; n++) {
    await expect(page.getByText(`${n} of 7`)).toBeVisible();
    const range = (await titles.allTextContents()).findIndex((t) => /Range/.test(t));
    if (range >= 0) await page.keyboard.press(`${range + 1}`);
    await page.keyboard.press('y');
  }
  await expect(page.getByText('Stopped: 1 wrong. The model stays on the ground')).toBeVisible();
  await page.getByRole('textbox', { name: 'Place' }).fill('boathouse bay');
  await page.getByRole('textbox', { name: 'Wind' }).fill('calm');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('status').filter({ hasText: '1 wrong' })).toBeVisible();
  await page.goto(`/models/${id}/job`);
  await expect(page.getByText(/Found wrong: Range check/)).toBeVisible();
  await page.goto(`/models/${id}/logbook`);
  await expect(page.getByText('boathouse bay · wind calm')).toBeVisible();
  await expectNoSideways(page);
});

test('the gain comes off the knob: half of where it shook, on a switch, to be read back', async ({
  page,
}) => {
  const id = await provenModel(page, 'Tuned turnstone');
  await page.goto(`/models/${id}/lock`);
  const found = page.getByRole('region', { name: 'What you found' });
  const field = found.getByLabel('monitor where it shook');
  await field.fill('20');
  await field.press('Enter');
  // −100 is off and +100 full on this unit: 20 on the monitor is 60 % of its gain.
  await expect(found.getByRole('status')).toHaveText(/60 %/);
  await expect(found.getByLabel('gain for fast')).toHaveValue('30');
  const slow = found.getByLabel('gain for slow');
  await slow.fill('50');
  await slow.press('Enter');
  await found.getByRole('combobox', { name: /to a switch/ }).click();
  await page.getByRole('option', { name: 'Switch B' }).click();
  await found.getByRole('button', { name: 'Lock in: off, 30 %, 50 %' }).click();
  await expect(page.getByText(/nothing can bump it/)).toBeVisible();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  await page.goto(`/models/${id}/job`);
  // The new lines are to be entered and read back before it goes out again.
  await expect(page.getByRole('heading', { name: /^Enter and read back/ })).toBeVisible();
});
