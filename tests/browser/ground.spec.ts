import { expect, test, type Page } from '@playwright/test';

/** Words that belong to what flies: none of them may stand anywhere on a car or a boat. */
const FLYING =
  /\b(fl(?:y|ies|ew|own|ight|ights|ying)|aeroplanes?|airborne|ailerons?|elevators?|wings?|nose|take[- ]?off|land(?:ed|ing)|pilot|glid(?:e|es|ing)|climbs?|hover|launch|panic|self-levelling|airspeed|altitude|height|flaps?|tails?)\b/i;
/** Of a car alone. */
const NOT_OF_A_CAR = /\b(propellers?|rudders?|hull|bow|stern)\b/i;

/** Everything a station says: its text, what lists offer, and what is said to those who do not see. */
async function textsOf(page: Page): Promise<string[]> {
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await expect(page.getByText('proving …')).toHaveCount(0);
  await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
  return page.evaluate(() => [
    ...document.body.innerText.split('\n'),
    ...[...document.querySelectorAll('option')].map((o) => o.textContent ?? ''),
    ...[...document.querySelectorAll('[aria-label], [title]')].flatMap((e) => [
      e.getAttribute('aria-label') ?? '',
      e.getAttribute('title') ?? '',
    ]),
  ]);
}

for (const [name, forbidden] of [
  ['Lynx', [FLYING, NOT_OF_A_CAR]],
  ['Pike', [FLYING]],
] as const)
  test(`${name}: no word of what flies on any page`, async ({ page }) => {
    test.setTimeout(180_000);
    await page.goto(`/?find=${name}`);
    const link = page.getByRole('link', { name: new RegExp(name) }).first();
    const path = (await link.getAttribute('href'))!.replace(/\/[a-z-]+$/, '');
    await page.goto(`${path}/job`);
    const way = page.getByRole('navigation', { name: 'Stations of the job' }).getByRole('link');
    await expect(way.first()).toBeVisible();
    const places = await way.evaluateAll((all) =>
      all.map((a) => a.getAttribute('href')!.split('/').pop()!),
    );
    expect(places).toContain('steering');
    const found: string[] = [];
    for (const place of places) {
      await page.goto(`${path}/${place}`);
      for (const text of await textsOf(page))
        // The boat is a pilot boat by name.
        if (forbidden.some((f) => f.test(text.replace('harbour pilot boat', ''))))
          found.push(`${place}: ${text.trim()}`);
    }
    expect([...new Set(found)]).toEqual([]);
  });
