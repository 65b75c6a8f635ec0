import { expect } from '@playwright/test';
import { asking, experimentWords, observerOf, type Told } from '../../src/core/interrogate';
import { facetsOf, withValues } from '../../src/core/possible';
import type { Setup } from '../../src/core/setup';
import { expectAccessible, newModel, tabTo, test } from './kit';

test('a unit without a leaflet is asked by key until it is known, and its description written', async ({
  page,
}) => {
  test.setTimeout(300_000);
  const id = await newModel(page, 'Asked avocet');
  await page.goto(`/models/${id}/unit`);
  await tabTo(page, 'I have no leaflet');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/facts about this unit are only assumed/)).toBeVisible();
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
  // The unit on the bench reads its gain otherwise than the description says.
  const kept = async () =>
    (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;
  const setup = await kept();
  const law = facetsOf(setup).find((f) => f.id === 'gain-law')!;
  const see = observerOf(
    withValues(
      setup,
      law.values.filter((v) => v.key === 'zero-to-full'),
    ),
    { wrong: 0, unsure: 0, seed: 1 },
  );
  await page.goto(`/models/${id}/ask`);
  const told: Told[] = [];
  let now = asking(setup, told);
  while (now.next) {
    const { experiment } = now.next;
    const { does, answers } = experimentWords(setup, experiment);
    await expect(page.getByText(`Experiment ${told.length + 1}`, { exact: true })).toBeVisible();
    await expect(page.locator('#experiment')).toHaveText(does.at(-1)!);
    if (told.length === 0) await expectAccessible(page);
    const answer = see(experiment);
    await page.keyboard.press(`${answers.findIndex(([a]) => a === answer) + 1}`);
    told.push({ experiment: experiment.id, answer });
    now = asking(setup, told);
  }
  expect(told.length).toBeLessThanOrEqual(40);
  await expect(page.getByRole('heading', { name: 'Nothing more to ask' })).toBeVisible();
  // Answers outlive a reload.
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Nothing more to ask' })).toBeVisible();
  await tabTo(page, 'Write them down');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Saved, version 3/)).toBeVisible();
  const { unit } = await kept();
  expect(unit.traits.gainLaw).toBe('zero-to-full');
  expect(unit.grounds?.traits?.gainLaw).toBe('seen');
  // What no experiment shows is still only assumed.
  expect(unit.grounds?.traits?.gainLeadMissing).toBe('assumed');
});

test('what is only assumed is said with the proof, and settled where it is', async ({ page }) => {
  const id = await newModel(page, 'Assumed auk');
  await page.goto(`/models/${id}/proof`);
  const stands = page.getByRole('region', { name: 'What the proof stands on' });
  await stands.getByRole('button', { name: /^Facts about the unit/ }).click();
  const ground = stands.getByRole('combobox', { name: /^how it reads its gain channel/ });
  await ground.click();
  await page.getByRole('option', { name: 'only assumed' }).click();
  await expect(stands.getByText(/Proven only if its gain rises/).first()).toBeVisible();
  await expect(page.getByText('proven if …').first()).toBeVisible();
  await ground.click();
  await page.getByRole('option', { name: 'seen on the unit' }).click();
  await expect(stands.getByText(/Proven only if/)).toHaveCount(0);
});
