import { expect } from '@playwright/test';
import {
  asking,
  experimentsFor,
  experimentWords,
  observerOf,
  type Told,
} from '../../src/core/interrogate';
import { facetsOf, withoutLeaflet, withValues } from '../../src/core/possible';
import type { Setup } from '../../src/core/setup';
import { makeSetup } from '../kit/setups';
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
  /** What the page asks for, found by its words alone. */
  const asked = new Map(
    experimentsFor(setup).map((e) => {
      const { before, steps } = experimentWords(setup, e);
      const looks = steps.flatMap((step) => step.looks);
      const words = [before, steps.map(({ does }) => does), looks.map(({ watch }) => watch)];
      return [words.flat().join('\n'), { experiment: e, looks }];
    }),
  );
  const section = page.getByRole('region').filter({ has: page.locator('#experiment') });
  const onPage = async () => {
    const words = ['li', 'h2', '[role="group"]'].map((of) =>
      section
        .locator(of)
        .evaluateAll((all) => all.map((e) => e.getAttribute('aria-label') ?? e.textContent)),
    );
    return asked.get((await Promise.all(words)).flat().join('\n'))!;
  };
  const done = page.getByRole('heading', { name: 'Nothing more to ask' });
  let [experiments, answers, seconds] = [0, 0, 0];
  const hands = () =>
    page
      .getByRole('complementary', { name: 'The rig' })
      .getByRole('slider')
      .evaluateAll((all) => all.map((e) => e.getAttribute('aria-valuetext') ?? e.ariaValueNow));
  for (;;) {
    const next = page.getByText(`Experiment ${experiments + 1}`, { exact: true });
    await expect(next.or(done)).toBeVisible();
    if (await done.isVisible()) break;
    const { experiment, looks } = await onPage();
    if (experiments === 0) await expectAccessible(page);
    if (experiments === 3) {
      await page.setViewportSize({ width: 390, height: 844 });
      await expectNoSideways(page);
    }
    const answer = see(experiment);
    for (const [i, look] of looks.entries()) {
      const before = i === 0 && experiments === 0 ? await hands() : undefined;
      await page.keyboard.press(`${look.answers.findIndex(([a]) => a === answer[i]) + 1}`);
      if (!before) continue;
      // A number is an answer here, and moves no switch of the rig.
      const second = page.getByRole('group', { name: looks[1]!.watch });
      await expect(second.getByRole('button').first()).toBeVisible();
      expect(await hands()).toEqual(before);
    }
    answers += looks.length;
    seconds += experiment.seconds;
    experiments += 1;
  }
  expect(experiments).toBeLessThanOrEqual(30);
  // Answers outlive a reload.
  await page.reload();
  await expect(done).toBeVisible();
  await tabTo(page, 'Write them down');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
  // A key for each surface that is looked at, and as many again to get there; ten minutes at the bench.
  const keys = await page.evaluate(() => Number(sessionStorage.keys));
  const counted = { experiments, answers, keys, minutes: Math.round(seconds / 60) };
  testInfo.annotations.push({ type: 'counted', description: JSON.stringify(counted) });
  expect(keys).toBeLessThanOrEqual(80);
  expect(counted.minutes).toBeLessThanOrEqual(15);
  const { unit } = await kept();
  expect(unit.traits.gainLaw).toBe('zero-to-full');
  expect(unit.grounds?.traits?.gainLaw).toBe('seen');
  // It is in the logbook.
  await expect(async () => {
    const log = await (await page.request.get(`/api/models/${id}/log`)).text();
    expect(log).toContain(`facts seen in ${experiments} experiments`);
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

test('what a unit has learned is put at risk last, and how to put it right stays on the page', async ({
  page,
}) => {
  const plain = makeSetup('conventional', 'gesture-stabilizer');
  const data = withoutLeaflet({
    ...plain,
    name: 'Taught teal',
    installation: { ...plain.installation, levelCapture: { pitchDeg: 2 } },
  });
  const made = await page.request.post('/api/import', { data });
  const { id } = (await made.json()) as { id: string };
  const setup = (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;
  // Everything that comes before is answered already.
  const see = observerOf(setup, { wrong: 0, unsure: 0, seed: 1 });
  const told: Told[] = [];
  for (;;) {
    const { experiment } = asking(setup, told).next!;
    if (experiment.steps.some(({ act }) => act.kind === 'teach')) break;
    told.push({ experiment: experiment.id, answer: see(experiment) });
  }
  await page.addInitScript(
    ([key, kept]) => sessionStorage.getItem(key!) ?? sessionStorage.setItem(key!, kept!),
    [`draft:asked:${id}`, JSON.stringify(told)],
  );
  await page.goto(`/models/${id}/ask`);
  await expect(page.getByText(`Experiment ${told.length + 1}`, { exact: true })).toBeVisible();
  await expect(
    page.getByRole('heading', {
      name: /^Raise the nose .* keep the model like that: hold the elevator stick back, .* for 3 s\. Then put the model level\.$/,
    }),
  ).toBeVisible();
  const right = page.getByText(
    /may have learned a wrong level\. Put that right: with the model level/,
  );
  await expect(right).toBeHidden();
  await page.getByRole('button', { name: /stands further up/ }).click();
  await expect(right).toBeVisible();
  // The level that was written down before counts no longer.
  await expect(page.getByText(/Saved, version 2/)).toBeVisible();
  const after = (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;
  expect(after.installation.levelCapture).toBeUndefined();
  await expectAccessible(page);
  // Taken back, nothing was taught.
  await page.getByRole('button', { name: 'Take back the last answer' }).click();
  await expect(right).toBeHidden();
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
  await expect(stands.getByText(/Proven (only if|unless)/)).toHaveCount(0);
});
