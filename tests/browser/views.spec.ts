import { expect, type Page } from '@playwright/test';
import { PROGRAMS } from '../kit/programs';
import { share } from '../kit/share';
import { expectAccessible, newModel, test } from './kit';

test.use({ turns: 1 });

/** The file, byte for byte, once everything is saved. */
async function exported(page: Page, id: string): Promise<string> {
  await expect(page.getByText(/^Saved, version \d+$/)).toBeVisible();
  return (await page.request.get(`/api/models/${id}/export`)).text();
}

test('one program in three views: changed by keyboard in each, undone, and the file is what it was', async ({
  page,
}) => {
  const id = await newModel(page, 'Three views');
  await page.goto(`/models/${id}/program`);
  const before = await exported(page, id);
  await page.getByText('By hand, line by line').click();
  const shownAs = async (words: RegExp) => {
    await page.getByRole('combobox', { name: 'Channels are shown as' }).press('Enter');
    await page.getByRole('option', { name: words }).press('Enter');
  };
  const mode = page.getByRole('region', { name: /^Channel \d+, mode$/ });
  const gain = page.getByRole('region', { name: /^Channel \d+, gain$/ });

  // A value for every position of the mode switch; the middle one is moved.
  await shownAs(/^values by position/);
  const cells = mode.getByRole('table').getByRole('textbox');
  await expect(cells).toHaveCount(3);
  const [low, middle, high] = await cells.evaluateAll((all: HTMLInputElement[]) =>
    all.map((e) => e.value),
  );
  await cells.nth(1).focus();
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await expect(mode).toContainText('Your own.');
  for (const [i, value] of [low, '12', high].entries())
    await expect(cells.nth(i)).toHaveValue(value!);
  // What turns is no table, and stands there as the line it is.
  await expect(gain.getByRole('table')).toHaveCount(0);
  await expect(gain.getByRole('combobox', { name: /: follows$/ })).toHaveText('Knob 1');
  await expectAccessible(page);
  expect(middle).not.toBe('12');

  // A mix with a rate of its own for each side of the knob.
  await shownAs(/^ramps/);
  const side = gain.getByLabel(/: high side, %$/);
  const rate = await side.inputValue();
  await side.focus();
  await page.keyboard.type('20');
  await page.keyboard.press('Enter');
  await expect(gain.getByLabel(/: low side, %$/)).toHaveValue(rate);
  await expect(side).toHaveValue('20');
  // The new values of the mode are mixes here: one for each position.
  await expect(mode.getByLabel(/: value, %$/)).toHaveCount(3);

  // As lines: the bend is a curve with a name.
  await shownAs(/^sentences/);
  await expect(gain.getByRole('combobox', { name: /: shape$/ })).toContainText('Two sides');

  for (let i = 0; i < 2; i++) {
    await page.locator('h1').click();
    await page.keyboard.press('Control+z');
    await exported(page, id);
  }
  await expect.poll(() => exported(page, id)).toBe(before);
});

test.describe('opened in each view, gone through by keyboard, and nothing changed', () => {
  for (const [name, setup] of share(PROGRAMS, 30))
    test(name, async ({ page }) => {
      const { id } = (await (await page.request.post('/api/import', { data: setup })).json()) as {
        id: string;
      };
      await page.goto(`/models/${id}/program`);
      const before = await exported(page, id);
      await page.getByText('By hand, line by line').click();
      for (const style of [/^sentences/, /^ramps/, /^values by position/]) {
        await page.getByRole('combobox', { name: 'Channels are shown as' }).press('Enter');
        await page.getByRole('option', { name: style }).press('Enter');
        const numbers = page.getByRole('region', { name: /^Channel \d+/ }).getByRole('textbox');
        await expect(numbers.first()).toBeVisible();
        // Every third number is typed again as it stands.
        const count = await numbers.count();
        for (let i = 0; i < count; i += 3) {
          const field = numbers.nth(i);
          const value = await field.inputValue();
          await field.focus();
          await page.keyboard.type(value);
          await page.keyboard.press('Enter');
        }
        await expect(page.getByRole('main').getByRole('alert')).toHaveCount(0);
      }
      expect(await exported(page, id)).toBe(before);
    });
});
