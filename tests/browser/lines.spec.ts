import { expect } from '@playwright/test';
import { expectAccessible, newModel, test } from './kit';

test('a line of one’s own is entered word by word, moves the channel, survives a wish, and is undone', async ({
  page,
}) => {
  const id = await newModel(page, 'By line');
  await page.goto(`/models/${id}/program`);
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await page.getByText('By hand, line by line').click();
  const elevator = page.getByRole('region', { name: 'Channel 2, elevator' });
  await elevator.getByRole('button', { name: /^Add a line/ }).click();
  const mine = elevator.getByRole('listitem').filter({ hasText: 'Your own.' });
  const own = mine.last();
  await expect(own).toBeVisible();
  await own.getByRole('combobox', { name: /follows$/ }).click();
  await page.getByRole('option', { name: 'Knob 2', exact: true }).click();
  const share = own.getByLabel(/: share, %$/);
  await share.fill('10');
  await share.press('Enter');
  await own.getByRole('combobox', { name: /when$/ }).click();
  await page.getByRole('option', { name: 'Switch B near' }).click();
  await expect(page.getByText('Saved, version 5')).toBeVisible();
  await expectAccessible(page);

  // A line of a choice becomes one's own by a change, and says so.
  const gain = page.getByRole('region', { name: /^Channel \d+, gain$/ });
  await expect(gain.getByRole('listitem').first()).toContainText('Written by Gain.');
  const gainShare = gain.getByLabel(/: share, %$/).first();
  await gainShare.fill('45');
  await gainShare.press('Enter');
  await expect(gain.getByRole('listitem').first()).toContainText('Your own.');

  // Dragged by its grip a line takes another's place; Up and Down do the same for keys.
  const order = () =>
    gain.locator('[data-grip]').evaluateAll((all) => all.map((e) => e.getAttribute('data-grip')));
  await gain.getByRole('button', { name: /^Copy it/ }).click();
  const [first, second] = await order();
  const grips = gain.locator('[data-grip]');
  await grips.nth(1).hover();
  await page.mouse.down();
  const { x, y } = (await grips.nth(0).boundingBox())!;
  await page.mouse.move(x + 4, y + 20, { steps: 4 });
  await page.mouse.move(x + 4, y + 4, { steps: 4 });
  await page.mouse.up();
  await expect.poll(order).toEqual([second, first]);
  await gain
    .getByRole('button', { name: /^Remove/ })
    .first()
    .click();
  await expect(gain.locator('[data-grip]')).toHaveCount(0);

  // A choice chosen afterwards touches neither.
  await page.getByRole('button', { name: 'timer', exact: true }).click();
  await expect(own).toContainText('Knob 2');
  await expect(gain.getByLabel(/: share, %$/).first()).toHaveValue('45');

  // Out of its range it is refused where it stands, and nothing is lost.
  await share.fill('900');
  await share.press('Enter');
  await expect(elevator.getByRole('alert')).toHaveText('From -200 to 200 %.');
  await share.press('Escape');
  await expect(share).toHaveValue('10');
  await elevator
    .getByRole('button', { name: /^Remove/ })
    .last()
    .click();
  await expect(elevator.getByText('Knob 2')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(elevator.getByText('Knob 2').first()).toBeVisible();
});
