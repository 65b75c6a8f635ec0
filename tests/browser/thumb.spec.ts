import { expect, type Locator } from '@playwright/test';
import { newModel, test } from './kit';

// Nobody says yes by himself here.
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, confirms: false });

const box = async (what: Locator) => (await what.boundingBox())!;

test('on a phone: head and gate take under a quarter, and the answers stay at the thumb', async ({
  page,
}) => {
  const id = await newModel(page, 'Thumbed teal');
  await page.goto(`/models/${id}/failsafe`);
  const gate = page.getByRole('group', { name: 'Before you go on' });
  await expect(gate).toBeVisible();
  const head = await box(page.getByRole('banner'));
  expect(head.height + (await box(gate)).height).toBeLessThan(844 / 4);

  await page.goto(`/models/${id}/sticks`);
  // It goes with its last answer.
  const open = gate.locator('input:not(:checked)');
  await expect(open.first()).toBeVisible();
  while ((await open.count()) > 0) await open.first().click();
  const question = page.locator('#question-title');
  await expect(question).toBeVisible();
  // The question stands under the head: its answers are all in reach without another movement.
  await question.evaluate((e) => e.scrollIntoView({ block: 'start' }));
  const rig = await box(page.getByRole('complementary', { name: 'The rig' }));
  for (const name of ['both up', 'neither moved', 'could not tell']) {
    const answer = await box(page.getByRole('button', { name }));
    expect(answer.y, name).toBeGreaterThan(head.height);
    expect(answer.y + answer.height, name).toBeLessThanOrEqual(rig.y + 1);
  }
});

test('on a phone: no word of the plan is broken, and nothing needs sideways', async ({ page }) => {
  const id = await newModel(page, 'Narrow nuthatch');
  await page.goto(`/models/${id}/plan`);
  await expect(page.getByRole('button', { name: 'Move aileron to another channel' })).toBeVisible();
  const broken = await page.evaluate(() => {
    const found: string[] = [];
    const texts = document.createTreeWalker(document.getElementById('main')!, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode())
      for (const word of node.textContent!.matchAll(/[a-zA-Z]{3,}/g)) {
        const range = new Range();
        range.setStart(node, word.index);
        range.setEnd(node, word.index + word[0].length);
        const lines = new Set([...range.getClientRects()].map((r) => Math.round(r.top)));
        if (lines.size > 1) found.push(word[0]);
      }
    return found;
  });
  expect(broken).toEqual([]);
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
  ).toBeLessThanOrEqual(0);
  // Every channel says its plug where no lead can be drawn to it.
  await expect(page.getByRole('region', { name: 'Channels' })).toContainText('Port 1');
});
