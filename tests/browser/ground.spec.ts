import { expect, test, type Page } from '@playwright/test';
import { share } from '../kit/share';

/** Words that belong to what flies: none of them may stand anywhere on a car or a boat. */
const FLYING =
  /\b(fl(?:y|ies|ew|own|ight|ights|ying)|aeroplanes?|airborne|ailerons?|elevators?|wings?|nose|take[- ]?off|land(?:ed|ing)|pilot|glid(?:e|es|ing)|climbs?|hover|launch|panic|self-levelling|airspeed|altitude|height|flaps?|tails?)\b/i;
/** Of a car alone. */
const NOT_OF_A_CAR = /\b(propellers?|rudders?|hull|bow|stern)\b/i;

/** Everything a station says: its text, what lists offer, and what is said to those who do not see. */
async function textsOf(page: Page): Promise<string[]> {
  await page.waitForLoadState('networkidle');
  // What is folded may hold folds of its own; what lies beside other models holds their names.
  const folded = page
    .locator('[data-fold][data-state="closed"]')
    .filter({ hasNotText: 'Beside another model' });
  while ((await folded.count()) > 0)
    await folded.evaluateAll((all) => all.forEach((fold) => (fold as HTMLElement).click()));
  return page.evaluate(() => [
    ...document.body.innerText.split('\n'),
    ...[...document.querySelectorAll('option')].map((o) => o.textContent ?? ''),
    ...[...document.querySelectorAll('[aria-label], [title]')].flatMap((e) => [
      e.getAttribute('aria-label') ?? '',
      e.getAttribute('title') ?? '',
    ]),
  ]);
}

const ON_THE_GROUND = [
  ['Lynx', [FLYING, NOT_OF_A_CAR]],
  ['Pike', [FLYING]],
] as const;

for (const [name, forbidden] of share(ON_THE_GROUND, 2))
  test(`${name}: no word of what flies on any page`, async ({ page }) => {
    test.setTimeout(180_000);
    await page.goto(`/?find=${name}`);
    const link = page.getByRole('link', { name: new RegExp(name) }).first();
    const path = (await link.getAttribute('href'))!.replace(/\/[a-z-]+$/, '');
    await page.goto(`${path}/job`);
    const way = page.getByRole('navigation', { name: 'Stations of the job' }).getByRole('link');
    await expect(way.first()).toBeVisible();
    await expect(page.getByText('proving …')).toHaveCount(0);
    const places = await way.count();
    let steering = false;
    const found: string[] = [];
    for (let i = 0; i < places; i++) {
      const place = (await way.nth(i).getAttribute('href'))!.split('/').pop()!;
      steering ||= place === 'steering';
      await way.nth(i).click();
      await expect(page).toHaveURL(new RegExp(`/${place}$`));
      await expect(page.locator('main h1, main [data-testid="twin-now"]').first()).toBeVisible();
      for (const text of await textsOf(page))
        // The boat is a pilot boat by name.
        if (forbidden.some((f) => f.test(text.replace('harbour pilot boat', ''))))
          found.push(`${place}: ${text.trim()}`);
    }
    expect(steering).toBe(true);
    expect([...new Set(found)]).toEqual([]);
  });
