import { expect, type Locator } from '@playwright/test';
import { asking, infer, USUAL_ROWS, type Reading } from '@/core/infer';
import { readyMade } from '@/core/catalogue/ready';
import { parseSetup, type Setup } from '@/core/setup';
import { monitorOf, type Hands } from '@/core/sheets';
import { expectAccessible, expectNoSideways, test } from './kit';

test('a car’s transmitter that is already programmed is read in, row by row, typed and pasted, and is the same on the chain', async ({
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
  const { outputs } = real.program;
  const last = Math.max(...outputs.map((o) => o.channel));
  const readAt = (hands: Hands): Reading => {
    const channels: (number | undefined)[] = Array<undefined>(last).fill(undefined);
    for (const { channel } of outputs)
      channels[channel - 1] = Math.round(monitor.read(channel, hands).pct);
    return { controls: hands, channels };
  };
  const numbersOf = (r: Reading) => outputs.map((o) => r.channels[o.channel - 1]!);
  const paste = (field: Locator, text: string) =>
    field.evaluate((element, data) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text', data);
      element.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
      );
    }, text);
  let readings: Reading[] = [];
  const rowOf = () => page.locator(`[data-question="${readings.length + 1}"]`);
  const first = () =>
    rowOf()
      .getByLabel(/: shows$/)
      .first();
  const next = () => asking(real.transmitter, readings).rows;

  // The first row typed, a field at a time.
  const rest = readAt(next()[0]!);
  for (const [i, { channel }] of outputs.entries()) {
    const field = rowOf().getByLabel(new RegExp(`^Channel ${channel}, .*: shows$`));
    await field.fill(String(numbersOf(rest)[i]));
    await field.press('Enter');
  }
  await expect(rowOf().getByTestId('still-to-come')).toHaveText(/^Row 1; \d+ to \d+ more\.$/);
  await rowOf().getByRole('button', { name: 'Next row' }).click();
  readings = [...readings, rest];
  await expectAccessible(page);

  // The second pasted as one row; a pasted row that does not fit says so.
  await paste(first(), '1 2 3 4 5 6 7');
  await expect(rowOf().getByRole('alert')).toContainText('one for each channel');
  const second = readAt(next()[0]!);
  await paste(first(), numbersOf(second).join('\t'));
  await rowOf().getByRole('button', { name: 'Next row' }).click();
  readings = [...readings, second];

  // Nothing is lost when the page is loaded again in the middle, and stopped here nothing is guessed.
  await page.reload();
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await page.getByText('It is already programmed: read it in').click();
  await page.getByRole('button', { name: 'Stop here: show what is known' }).click();
  await expect(page.getByText('Still open: these stay as they are here.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Read on' }).click();

  // All rows that are known already at once, then those that tell apart what is left.
  const planned = next();
  await paste(first(), planned.map((hands) => numbersOf(readAt(hands)).join('\t')).join('\n'));
  readings = [...readings, ...planned.map(readAt)];
  for (let rows = next(); rows.length > 0; rows = next()) {
    const reading = readAt(rows[0]!);
    await expect(rowOf()).toBeVisible();
    await paste(first(), numbersOf(reading).join('\t'));
    await rowOf().getByRole('button', { name: 'Next row' }).click();
    readings = [...readings, reading];
  }
  expect(readings.length).toBeLessThanOrEqual(USUAL_ROWS);
  expect(infer(real.transmitter, readings).ok).toBe(true);
  await expect(page.getByRole('heading', { name: 'What it makes' })).toBeVisible();
  await page.getByRole('button', { name: 'Use it as my program' }).click();
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
