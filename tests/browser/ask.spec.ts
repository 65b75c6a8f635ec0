import { expect } from '@playwright/test';
import { asking, experimentWords, observerOf, type Told } from '../../src/core/interrogate';
import { facetsOf, withValues } from '../../src/core/possible';
import type { Setup } from '../../src/core/setup';
import { expectAccessible, expectNoSideways, newModel, tabTo, test } from './kit';

test('a second-hand unit without a leaflet, from New model until it is known, by key, half of it on a phone', async ({
  page,
}, testInfo) => {
  test.setTimeout(300_000);
  // Every key that is pressed, those that lead from one thing to the next among them.
  await page.addInitScript(() => {
    const count = () => (sessionStorage.keys = Number(sessionStorage.keys ?? 0) + 1);
    addEventListener('keydown', count, true);
  });
  await page.goto('/models/new');
  await page.getByLabel('What do you call it?').fill('Asked avocet');
  await tabTo(page, 'Yes, or I know the unit');
  await page.keyboard.press('ArrowDown');
  const like = page.getByRole('group', { name: 'Which unit is most like yours?' });
  await expect(like.getByRole('radio', { name: /^Menu receiver/ })).toBeChecked();
  await expectAccessible(page);
  await tabTo(page, 'Put it on the bench');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/model$/);
  const id = /models\/(\w+)\//.exec(page.url())![1]!;
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
  let [answers, seconds] = [0, 0];
  const hands = () =>
    page
      .getByRole('complementary', { name: 'The rig' })
      .getByRole('slider')
      .evaluateAll((all) => all.map((e) => e.getAttribute('aria-valuetext') ?? e.ariaValueNow));
  while (now.next) {
    const { experiment } = now.next;
    const { steps } = experimentWords(setup, experiment);
    await expect(page.getByText(`Experiment ${told.length + 1}`, { exact: true })).toBeVisible();
    await expect(page.locator('#experiment')).toHaveText(steps[0]!.does);
    if (told.length === 0) await expectAccessible(page);
    if (told.length === 3) {
      await page.setViewportSize({ width: 390, height: 844 });
      await expectNoSideways(page);
    }
    const answer = see(experiment);
    const looks = steps.flatMap((step) => step.looks);
    for (const [i, look] of looks.entries()) {
      const before = i === 0 && told.length === 0 ? await hands() : undefined;
      await page.keyboard.press(`${look.answers.findIndex(([a]) => a === answer[i]) + 1}`);
      if (!before) continue;
      // A number is an answer here, and moves no switch of the rig.
      const second = page.getByRole('group', { name: looks[1]!.watch });
      await expect(second.getByRole('button').first()).toBeVisible();
      expect(await hands()).toEqual(before);
    }
    answers += looks.length;
    seconds += experiment.seconds;
    told.push({ experiment: experiment.id, answer });
    now = asking(setup, told);
  }
  expect(told.length).toBeLessThanOrEqual(30);
  await expect(page.getByRole('heading', { name: 'Nothing more to ask' })).toBeVisible();
  // Answers outlive a reload.
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Nothing more to ask' })).toBeVisible();
  await tabTo(page, 'Write them down');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
  // A key for each surface that is looked at, and as many again to get there; ten minutes at the bench.
  const keys = await page.evaluate(() => Number(sessionStorage.keys));
  const counted = { experiments: told.length, answers, keys, minutes: Math.round(seconds / 60) };
  testInfo.annotations.push({ type: 'counted', description: JSON.stringify(counted) });
  expect(keys).toBeLessThanOrEqual(80);
  expect(counted.minutes).toBeLessThanOrEqual(15);
  const { unit } = await kept();
  expect(unit.traits.gainLaw).toBe('zero-to-full');
  expect(unit.grounds?.traits?.gainLaw).toBe('seen');
  // It is in the logbook.
  await expect(async () => {
    const log = await (await page.request.get(`/api/models/${id}/log`)).text();
    expect(log).toContain(`facts seen in ${told.length} experiments`);
  }).toPass();
  // What no experiment shows is still only assumed.
  expect(unit.grounds?.traits?.gainLeadMissing).toBe('assumed');
  // Where the modes change is read by hand.
  await page.setViewportSize({ width: 1280, height: 800 });
  const edges = page.getByRole('region', { name: 'Where the modes change' });
  await expect(edges.getByRole('button', { name: 'Write the edges down' })).toBeDisabled();
  await tabTo(page, /off to rate damping, turning up/);
  for (const us of ['1346', '1338', '1650', '1738']) {
    await page.keyboard.type(us);
    await page.keyboard.press('Tab');
  }
  await expect(edges.getByText('1342 ± 9 µs')).toBeVisible();
  await expect(edges.getByText('88 µs apart: turn more slowly, both ways again')).toBeVisible();
  await edges.getByLabel(/to self-levelling, turning back/).fill('1660');
  await edges.getByRole('button', { name: 'Write the edges down' }).press('Enter');
  await expect(page.getByText(/Saved, version 3/)).toBeVisible();
  const read = (await kept()).unit;
  expect(read.traits.modeSelect).toMatchObject({ withinUs: 10, bands: [{ toUs: 1342 }, {}, {}] });
  expect(read.grounds?.traits?.modeSelect).toBe('seen');
});

test('the leaflet was lost later: what was written down is only assumed from then on', async ({
  page,
}) => {
  const id = await newModel(page, 'Lost leaflet');
  await page.goto(`/models/${id}/unit`);
  await tabTo(page, 'I have no leaflet');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/facts about this unit are only assumed/)).toBeVisible();
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
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
  // What settles it is said beside it, and asked first.
  await expect(stands.getByText(/You must see: goes up, then returns\./).first()).toBeVisible();
  const settle = stands.getByRole('link', { name: 'Ask the unit about it first' }).first();
  await expect(settle).toHaveAttribute('href', `/models/${id}/ask?about=gain-law`);
  await ground.click();
  await page.getByRole('option', { name: 'seen on the unit' }).click();
  await expect(stands.getByText(/Proven only if/)).toHaveCount(0);
});
