import { readFile } from 'node:fs/promises';
import { expect } from '@playwright/test';
import { fly, readMotion } from '@/core/motion';
import { LAKE_HOLLOW } from '@/demo/lake-hollow';
import { expectAccessible, expectNoSideways, openModel, tabTo, test } from './kit';

test('a wrong sign is seen to happen, and after its repair the same again, by keyboard', async ({
  page,
}) => {
  await openModel(page, 'Otter', 'Proof');
  // What Tab has passed before it was there is reached by a whole round only.
  await expect(page.getByRole('link', { name: 'See it fly' }).first()).toBeVisible();
  await tabTo(page, 'See it fly', 200);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/fly\?finding=/);
  await expect(page.getByText(/As it is: .*(its back|crashes|straight down)/)).toBeVisible({
    timeout: 60_000,
  });
  // Stopped, pulled to its end, and seen from behind.
  await page
    .getByRole('button', { name: 'Pause' })
    .or(page.getByRole('button', { name: 'Play' }))
    .first()
    .waitFor();
  await page.getByLabel(/^moment/).focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('button', { name: 'Play again' })).toBeVisible();
  await page.getByText('from behind').click();
  // The elevator stick has a repair: the same pass with it stands beside.
  await page.getByRole('button', { name: /pulled the elevator stick back/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/As it is: nose drops/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: /^After “Set channel 2/ }).click();
  await expect(page.getByRole('button', { name: /^After .*nose rises, still flying/ })).toBeVisible(
    {
      timeout: 60_000,
    },
  );
  await page.getByLabel(/^moment/).focus();
  await page.keyboard.press('End');
  await expectAccessible(page);
});

test('on a phone: usual situations, the panic map, its worst flown again; a flight kept and opened', async ({
  page,
}) => {
  await openModel(page, 'Loon', 'Fly');
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByText(/On its back at 60 m, panic after 1 s/).first()).toBeVisible({
    timeout: 60_000,
  });
  await expect(page.getByText(/^level after .* m lost$/).first()).toBeVisible({ timeout: 60_000 });
  await expectNoSideways(page);
  await page.getByRole('button', { name: 'Fly the panic map' }).click();
  const inverted = page.getByRole('button', { name: /^inverted at 14 m\/s: .* m$/ });
  await expect(inverted).toBeVisible({ timeout: 90_000 });
  await inverted.click();
  await expect(
    page.getByRole('heading', { name: /Panic at once, inverted, 14 m\/s/ }),
  ).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save this flight' }).click();
  const path = await (await download).path();
  // Ten seconds in the browser and here: the same to a millionth of its span.
  const loon = LAKE_HOLLOW.map((make) => make().versions.at(-1)!.setup).find((s) =>
    s.name.startsWith('Loon'),
  )!;
  const kept = readMotion(
    await readFile(path, 'utf8'),
    loon.transmitter.controls.map((c) => c.id),
  );
  if (!kept.ok) throw new Error(JSON.stringify(kept.problems));
  const here = fly(loon, kept.value.scenario, kept.value.draw);
  if (!here.ok) throw new Error(here.reason);
  const { seconds, northM, eastM, heightM } = kept.value.outcome!;
  const { ending } = here.flown;
  expect(seconds).toBeCloseTo(10, 6);
  const off = Math.hypot(northM - ending.northM, eastM - ending.eastM, heightM - ending.heightM);
  expect(off / (loon.airframe.measures.spanMm / 1000)).toBeLessThan(1e-6);
  await page.getByLabel('Open a flight').setInputFiles(path);
  await expect(page.getByRole('heading', { name: /Panic at once/ })).toBeVisible();
  await expect(page.getByText(/^As it is: level after/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/otherwise than when it was kept/)).toBeHidden();
  await page.getByLabel('Open a flight').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"tolvan-motion","version":7}'),
  });
  await expect(page.getByText(/File not opened: \/version/)).toBeVisible();
  await page.getByLabel(/^moment/).focus();
  await page.keyboard.press('End');
  await expectAccessible(page);
});

test('a flight is taken over: by keys, by a finger on a stick; kept as it was flown', async ({
  page,
}) => {
  await openModel(page, 'Loon', 'Fly');
  const saved = async () => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save this flight' }).click();
    const text = await readFile(await (await download).path(), 'utf8');
    return (JSON.parse(text) as { scenario: { hands: { controls: object }[]; seconds: number } })
      .scenario;
  };
  const bank = async () =>
    Number(/-?\d+/.exec((await page.locator('dd').nth(2).textContent()) ?? '')?.[0]);
  const stop = page.getByRole('button', { name: 'Stop and look at it' });
  const takeOver = page.getByRole('button', { name: 'Take over' });
  await expect(page.getByText(/As it is: .*still flying/)).toBeVisible({ timeout: 60_000 });
  // Nobody moves anything: nothing is kept of the hands.
  await expect(takeOver).toBeEnabled({ timeout: 60_000 });
  await takeOver.focus();
  await page.keyboard.press('Enter');
  await expect(stop).toBeFocused();
  await expectAccessible(page);
  await stop.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /^Flown by hand: Level pass/ })).toBeVisible();
  expect((await saved()).hands).toEqual([]);
  // Arrow right: it rolls right; let go, the stick is in the middle again.
  await expect(takeOver).toBeEnabled({ timeout: 60_000 });
  await takeOver.focus();
  await page.keyboard.press('Enter');
  await expect(stop).toBeFocused();
  await page.keyboard.down('ArrowRight');
  await expect.poll(bank).toBeGreaterThan(15);
  await page.keyboard.up('ArrowRight');
  const aileron = page.getByRole('slider', { name: 'Aileron stick' }).first();
  await expect(aileron).toHaveValue('0');
  // A finger on the same stick, to the left.
  const pad = (await page.locator('[data-pad="right"]').first().boundingBox())!;
  await page.mouse.move(pad.x + pad.width / 2, pad.y + pad.height / 2);
  await page.mouse.down();
  await page.mouse.move(pad.x + 4, pad.y + pad.height / 2);
  await expect.poll(bank).toBeLessThan(-10);
  await page.mouse.up();
  // On a busy machine it may be on the ground by then: it has stopped by itself.
  const flown = page.getByRole('heading', { name: /^Flown by hand: Level pass/ });
  await expect(stop.or(flown)).toBeVisible();
  await stop.click({ timeout: 5000 }).catch(() => undefined);
  await expect(flown).toBeVisible();
  const { hands } = await saved();
  expect(hands.length).toBeGreaterThan(3);
  await expect(page.getByText(/As it is: /)).toBeVisible({ timeout: 60_000 });
  // The rig stands as it stood before.
  await page.getByRole('link', { name: 'Rig', exact: true }).click();
  await expect(page.getByRole('slider', { name: 'Throttle stick' }).first()).toHaveValue('-100');
});
