import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';
import { everything, identified } from '@/demo/kit';
import { safely } from '../kit/bench';
import { makeSetup } from '../kit/setups';
import { isTurn } from '../kit/share';

/**
 * Ticks every statement of an open gate, again and again. It starts with the page, before there is
 * any element in it, whatever the types say.
 */
function confirmAll() {
  setInterval(() => {
    const root = document.documentElement as HTMLElement | null;
    if (root?.dataset.live !== 'yes') return;
    const gate = [...document.querySelectorAll('fieldset')].find((f) =>
      f.querySelector('legend')?.textContent?.startsWith('Before you go on'),
    );
    for (const box of gate?.querySelectorAll<HTMLInputElement>('input:not(:checked)') ?? [])
      box.click();
  }, 100);
}

/**
 * A page that is waited for until it hears what is typed: a machine is faster than any hand, and
 * would type into the picture the server sent.
 */
export const test = base.extend<{
  confirms: boolean;
  tour: boolean;
  turns: number;
  takenUp: undefined;
}>({
  /** A story is taken up on one day in so many, but those that nothing else stands for. */
  turns: [6, { option: true }],
  takenUp: [
    async ({ turns }, give, info) => {
      info.skip(!isTurn(info.title, turns), 'another day');
      await give(undefined);
    },
    { auto: true },
  ],
  /** Whoever tests something else says yes to whatever must be true of the bench, as soon as it is asked. */
  confirms: [true, { option: true }],
  /** Whether the tour of a first model is shown; whoever tests something else has seen it. */
  tour: [false, { option: true }],
  page: async ({ page, confirms, tour }, give) => {
    if (!tour) await page.context().addInitScript(() => localStorage.setItem('tolvan-tour', 'yes'));
    if (confirms) await page.context().addInitScript(confirmAll);
    const live = page.locator('html[data-live], main h1:text("Page not found")').first();
    const gate = page
      .locator('fieldset')
      .filter({ has: page.locator('legend', { hasText: 'Before you go on' }) })
      .first();
    const heard = async (url: string) => {
      if (!/\/models\/(?!new)/.test(url)) return;
      await live.waitFor({ state: 'attached' });
      // As long as a gate is open no key is heard below it. Where a test holds its answers back it stays open.
      if (confirms) await gate.waitFor({ state: 'detached', timeout: 5000 }).catch(() => undefined);
    };
    const goto = page.goto.bind(page);
    page.goto = async (url, options) => {
      const response = await goto(url, options);
      await heard(url);
      return response;
    };
    const reload = page.reload.bind(page);
    page.reload = async (options) => {
      const response = await reload(options);
      await heard(page.url());
      return response;
    };
    await give(page);
  },
});

/** A body as the pages send theirs, whatever stands in it. */
export const asJson = (data: string) => ({
  data: Buffer.from(data),
  headers: { 'content-type': 'application/json' },
});

/**
 * Records every text the page shows from now on, however briefly: a look from outside may come
 * too late on a busy machine. What it gives back reads the record.
 */
export async function recordTexts(page: Page): Promise<() => Promise<string[]>> {
  const record = await page.evaluateHandle(() => {
    const texts: string[] = [];
    const observer = new MutationObserver((changes) => {
      for (const { target, addedNodes } of changes)
        for (const node of [target, ...addedNodes])
          if (node.nodeType === Node.TEXT_NODE || node.childNodes.length === 1)
            texts.push(node.textContent ?? '');
    });
    observer.observe(document.body, { childList: true, characterData: true, subtree: true });
    return texts;
  });
  return () => record.jsonValue();
}

const WAY_KEYS = {
  up: 'ArrowUp',
  down: 'ArrowDown',
  left: 'ArrowLeft',
  right: 'ArrowRight',
  centre: 'x',
} as const;
/** How an answer is given: a key is pressed, or the button that says so. */
type Give = (key: string, words: string) => Promise<void>;

/**
 * Answers every open look by what is seen of each surface in it; left and right in one go where that is
 * offered and fits, one after the other where not. Ends when nothing is asked any more.
 */
export async function answerLooks(
  page: Page,
  seenOf: (check: string, surface: string) => keyof typeof WAY_KEYS,
  give: Give = (key) => page.keyboard.press(key),
) {
  const title = page.locator('#question-title');
  const section = page.locator('section', { has: title });
  for (let i = 0; i < 60; i++) {
    if ((await title.count()) === 0) return;
    const check = (await section.getAttribute('data-check'))!;
    const left = (await section.getByText(/^\d+ of \d+ left$/).textContent())!;
    if (left.startsWith('0 ')) return;
    const surfaces = await section.locator('strong').allTextContents();
    const ways = surfaces.map((s) => seenOf(check, s));
    const [one, other] = ways;
    if (ways.length === 1) await give(WAY_KEYS[one!], `${one}, ${surfaces[0]}`);
    else if (ways.every((w) => w === one)) {
      const words = { centre: 'neither moved', ...BOTH }[one!];
      await give(WAY_KEYS[one!], words);
    } else if (ways.length === 2 && !ways.includes('centre')) {
      const upright = one === 'left' || one === 'right';
      const first = one === 'up' || one === 'left';
      const key = upright ? (first ? 'ArrowUp' : 'ArrowDown') : first ? 'ArrowLeft' : 'ArrowRight';
      const ones = upright ? ' one' : '';
      await give(key, first ? `left${ones} ${one}` : `right${ones} ${other}`);
    } else {
      await give('o', 'something else: one at a time');
      await expect(section.locator('strong')).toHaveCount(1);
      continue;
    }
    if (left.startsWith('1 ')) await expect(title).toHaveCount(0);
    else await expect(section.getByText(left, { exact: true })).toHaveCount(0);
  }
}
const BOTH = { up: 'both up', down: 'both down', left: 'both left', right: 'both right' };

/** Says of every stick that is left that nothing else moves with it. */
export async function nothingElseMoves(page: Page) {
  const heading = page.locator('#still-title');
  if ((await heading.count()) === 0) return;
  await page.getByRole('button', { name: 'nothing else moves' }).click();
  await expect(heading).toHaveCount(0);
}

/** Opens a station of the model with this name, by way of the shelf. */
export async function openModel(page: Page, name: string, station: string) {
  await page.goto(`/?find=${encodeURIComponent(name)}`);
  await page.getByRole('link', { name: new RegExp(`^${name}`) }).click();
  const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', {
    name: new RegExp(`^${station}`),
  });
  const href = (await link.getAttribute('href'))!;
  await link.click();
  await expect(page).toHaveURL(href);
}

/** The strip of stations is the same everywhere: looked at once, where the job stands. */
const STRIP = 'nav[aria-label="Stations of the job"]';

/** Nothing serious in the automatic accessibility check. */
export async function expectAccessible(page: Page) {
  const builder = new AxeBuilder({ page });
  if (!page.url().endsWith('/job')) builder.exclude(STRIP);
  const { violations } = await builder
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' ')}`)).toEqual([]);
}

/** The page is never wider than its window. */
export async function expectNoSideways(page: Page) {
  const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(over).toBeLessThanOrEqual(0);
}

/** Everything of the unit that is set about one thing, by its heading. */
const settingOf = (page: Page, title: string) =>
  page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: title, exact: true }) });

/** Chooses a word of a unit's setting; of several words in its group the first that can be this one. */
export async function setWord(page: Page, title: string, words: string) {
  for (const word of await settingOf(page, title).getByRole('combobox').all()) {
    await word.click();
    const option = page.getByRole('option', { name: words, exact: true });
    if ((await option.count()) > 0) {
      await option.click();
      return;
    }
    await page.keyboard.press('Escape');
  }
  throw new Error(`${title} cannot be ${words}`);
}

/** The names of the control that has focus, or of all there are; none of what only scrolls, which holds all its words. */
const namesOf = (page: Page, which: 'focused' | 'all'): Promise<string[]> =>
  page.evaluate((of) => {
    const controls = 'a, button, input, select, textarea';
    const found = of === 'all' ? document.querySelectorAll(controls) : [document.activeElement];
    return [...found].flatMap((e) =>
      e?.matches(controls)
        ? [e.getAttribute('aria-label') ?? e.closest('label')?.textContent ?? e.textContent ?? '']
        : [],
    );
  }, which);

/** Tabs until the named control has focus, as someone without a mouse would; it is waited for first. */
export async function tabTo(page: Page, name: RegExp | string, limit = 80) {
  const isIt = (text: string) => (typeof name === 'string' ? text.includes(name) : name.test(text));
  await expect
    .poll(async () => (await namesOf(page, 'all')).some(isIt), `${name} is there`)
    .toBe(true);
  for (let i = 0; i < limit; i++) {
    await page.keyboard.press('Tab');
    if ((await namesOf(page, 'focused')).some(isIt)) return;
  }
  throw new Error(`Tab never reached ${name}`);
}

/** A fresh model of shipped parts, so that a test disturbs no other. @returns its id */
export async function newModel(page: Page, name: string): Promise<string> {
  const answers = {
    name,
    kind: 'conventional',
    ailerons: 'y-lead',
    unit: 'menu-receiver',
    transmitter: 'line-sixteen',
  };
  const reply = await page.request.post('/api/models', { data: answers });
  return ((await reply.json()) as { id: string }).id;
}

/** A model on which everything there is to see has been seen, as its owner would send it in. */
export async function provenModel(page: Page, name: string): Promise<string> {
  const setup = { ...identified(makeSetup()), name };
  const made = await page.request.post('/api/import', { data: setup });
  const { id } = (await made.json()) as { id: string };
  // Tuning is proven by the gain in the log.
  await page.request.post(`/api/models/${id}/log`, {
    data: {
      kind: 'flight',
      at: '2026-05-01T10:00:00Z',
      title: 'First flight',
      gainReading: '46 %',
    },
  });
  for (const seen of everything(setup)) {
    const reply = await page.request.post(`/api/models/${id}/observations`, {
      data: safely({ ...seen, version: 1 }),
    });
    expect(reply.status(), JSON.stringify(seen)).toBe(200);
  }
  return id;
}
