import { expect } from '@playwright/test';
import type { Setup } from '@/core/setup';
import { expectAccessible, expectNoSideways, newModel, test } from './kit';

test('a copy that went its own way: side by side in words, one part taken over, and undone', async ({
  page,
}) => {
  const id = await newModel(page, 'Split sandpiper');
  const copied = await page.request.post(`/api/models/${id}/copy`, { data: {} });
  const copy = ((await copied.json()) as { id: string }).id;
  const change = async (of: string, spoil: (s: Setup) => void) => {
    const setup = (await (await page.request.get(`/api/models/${of}/export`)).json()) as Setup;
    spoil(setup);
    const data = { basedOn: 1, label: 'Changed', setup };
    expect((await page.request.put(`/api/models/${of}/setup`, { data })).ok()).toBe(true);
  };
  await change(id, (s) => (s.airframe.measures.spanMm = 1111));
  await change(copy, (s) => {
    s.airframe.measures.spanMm = 2222;
    const [rate] = s.program.inputs[0]!.rates;
    rate!.expoPct = 44;
    delete rate!.owner;
  });

  await page.goto(`/models/${id}/logbook`);
  await page.getByText('Beside another model: take parts over').click();
  await page.getByLabel('the other model').selectOption({ label: 'Split sandpiper, copy' });
  const parts = page.getByRole('list', { name: 'Parts that differ' }).getByRole('listitem');
  await expect(parts).toHaveCount(2);
  const [span, inputs] = [parts.first(), parts.last()];
  await expect(span).toContainText('changed in both');
  await expect(span.getByRole('cell')).toContainText(['', '1111 mm', '2222 mm']);
  await expect(inputs).toContainText('changed there only');
  await expect(inputs.getByRole('radio', { name: 'as there' })).toBeChecked();
  await expectAccessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSideways(page);
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.getByRole('button', { name: 'Take over one part' }).click();
  await expect(page.getByText('Saved, version 3')).toBeVisible();
  await expect(parts).toHaveCount(1);
  const taken = (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;
  expect(taken.program.inputs[0]!.rates[0]!.expoPct).toBe(44);
  expect(taken.airframe.measures.spanMm).toBe(1111);
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(parts).toHaveCount(2);
});
