import { expect } from '@playwright/test';
import { expectAccessible, expectNoSideways, openModel, tabTo, test } from './kit';

test('a wrong sign is seen to happen, and after its repair the same again, by keyboard', async ({
  page,
}) => {
  await openModel(page, 'Otter', 'Proof');
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
  await page.getByLabel('Open a flight').setInputFiles(path);
  await expect(page.getByRole('heading', { name: /Panic at once/ })).toBeVisible();
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
