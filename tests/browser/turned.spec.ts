import { expect } from '@playwright/test';
import { allExpectations, predictAll } from '@/core/directions';
import type { Setup } from '@/core/setup';
import { answerLooks, nothingElseMoves, tabTo, test } from './kit';

test('a V-tail with the unit fitted backwards and a panel servo reversed, from what is seen alone, on a phone, by keyboard', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const reply = await page.request.post('/api/models', {
    data: {
      name: 'Backward bittern',
      kind: 'v-tail',
      ailerons: 'y-lead',
      unit: 'menu-receiver',
      transmitter: 'line-sixteen',
    },
  });
  const { id } = (await reply.json()) as { id: string };
  const written = (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;
  // The model on the bench, which the app knows nothing of.
  const real = structuredClone(written);
  real.installation.mounting = 'tail-up';
  const panel = real.airframe.surfaces.find((s) => s.id === 'panel-right')!;
  panel.linkage.sense = panel.linkage.sense === 'same' ? 'opposite' : 'same';

  const answerAll = async (model: Setup) => {
    const seen = predictAll(model);
    for (const station of ['sticks', 'corrections'] as const) {
      await page.goto(`/models/${id}/${station}`);
      await answerHere(seen);
    }
  };
  const answerHere = async (seen: ReturnType<typeof predictAll>) => {
    await expect(page.locator('h1')).toBeVisible();
    await answerLooks(page, (check, label) => {
      const asked = allExpectations(written).find(
        (e) => e.check.id === check && e.surface.label.toLowerCase() === label.toLowerCase(),
      )!;
      return seen.get(asked.check.id)!.get(asked.surface.id)!.movement;
    });
  };
  await answerAll(real);
  await expect(
    page.getByText('The unit is mounted with its arrow to the tail, label up.'),
  ).toBeVisible();
  await expect(
    page.getByText('Right V-tail panel is linked opposite to the Setup.', {
      exact: true,
    }),
  ).toBeVisible();
  await expect(
    page
      .getByText('Set in the unit that it is mounted with its arrow to the tail, label up')
      .first(),
  ).toBeVisible();
  await tabTo(page, 'Apply to the Setup', 120);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Saved, version 3/)).toBeVisible();

  // The same changes made on the model: everything that was touched is checked again.
  const after = (await (await page.request.get(`/api/models/${id}/export`)).json()) as Setup;
  expect(after.installation.mounting).toBe('tail-up');
  expect(after.unit.settings.orientation).toBe('tail-up');
  await page.locator('body').press('Escape');
  await answerAll(after);
  await page.goto(`/models/${id}/sticks`);
  await nothingElseMoves(page);
  await expect(page.getByText(/Directions proven/)).toBeVisible();
});
