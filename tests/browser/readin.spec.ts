import { expect } from '@playwright/test';
import { asks, infer, type Reading } from '@/core/infer';
import { readyMade } from '@/core/catalogue/ready';
import { parseSetup, type Setup } from '@/core/setup';
import { monitorOf, type Hands } from '@/core/sheets';
import { expectAccessible, expectNoSideways, test } from './kit';

test('a car’s transmitter that is already programmed is read in, question by question, and is the same on the chain', async ({
  page,
}) => {
  // On the table lies a transmitter with another program than the one on the bench.
  const real = readyMade('drift-car', 'On the table');
  real.program.outputs.find((o) => o.carries === 'steering')!.reversed = true;
  real.program.outputs.find((o) => o.carries === 'gain')!.maxPct = 80;
  const bench = readyMade('drift-car', 'Read in');
  const made = await page.request.post('/api/import', { data: bench });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/models/${id}/program`);
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await page.getByText('It is already programmed: read it in').click();

  const monitor = monitorOf(real);
  const readings: Reading[] = [];
  for (;;) {
    const [hands] = asks(real.transmitter, readings);
    if (!hands) break;
    const number = readings.length + 1;
    const card = page.locator(`[data-question="${number}"]`);
    await expect(card).toBeVisible();
    const last = Math.max(...real.program.outputs.map((o) => o.channel));
    const channels: (number | undefined)[] = Array(last).fill(undefined);
    for (const { channel } of real.program.outputs) {
      const shows = Math.round(monitor.read(channel, hands).pct);
      channels[channel - 1] = shows;
      // Only what differs from rest is typed.
      if (number > 1 && shows === readings[0]!.channels[channel - 1]) continue;
      const field = card.getByLabel(new RegExp(`^Channel ${channel}, .*: shows$`));
      await field.fill(String(shows));
      await field.press('Enter');
    }
    readings.push({ controls: hands, channels });
    if (number === 3) {
      await expectAccessible(page);
      // Nothing is lost when the page is loaded again in the middle.
      await card.getByRole('button', { name: /as at rest$/ }).click();
      await page.reload();
      await page.locator('html[data-live]').waitFor({ state: 'attached' });
      await page.getByText('It is already programmed: read it in').click();
      continue;
    }
    await card.getByRole('button', { name: /shows$|as at rest$/ }).click();
  }
  expect(infer(real.transmitter, readings).ok).toBe(true);
  await expect(page.getByRole('heading', { name: 'What it makes' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it in as my program' }).click();
  await expect(page.getByText('Saved, version 2')).toBeVisible();
  const reply = await page.request.get(`/api/models/${id}/export`);
  const read = parseSetup((await reply.json()) as Setup);
  if (!read.ok) throw new Error(read.problems[0]!.reason);
  const again = monitorOf(read.value);
  const places: Hands[] = [{}, { wheel: 100 }, { wheel: -100 }, { dial: 100 }, { dial: -100 }];
  for (const hands of places)
    for (const { channel } of real.program.outputs)
      expect(again.read(channel, hands).pct).toBeCloseTo(monitor.read(channel, hands).pct, 0);
  // The other way round than the car on the bench is plugged, and said at once.
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText(
    'Control the wrong way',
  );
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSideways(page);
});
