// Takes the pictures in docs/screenshots from a fresh demo that is running: node scripts/pictures.mjs ADDRESS
import { chromium } from '@playwright/test';
import { find } from './chromium.mjs';

const address = process.argv[2] ?? 'http://127.0.0.1:4400';
const browser = await chromium.launch({
  executablePath: find(),
});
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  reducedMotion: 'reduce',
});
const page = await context.newPage();
const shot = async (name) => {
  await page.waitForTimeout(700);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const modelPath = async (name) => {
  await page.goto(address);
  return (await page.getByRole('link', { name }).first().getAttribute('href')).replace(
    /\/[^/]*$/,
    '',
  );
};
/** Opens a station and waits until it is proved. */
const open = async (path) => {
  await page.goto(`${address}${path}`);
  await page.waitForTimeout(400);
  await page.getByText('proving …').waitFor({ state: 'detached' });
};

// Whoever takes pictures has seen the tour, and has made the bench safe.
await page.addInitScript(() => localStorage.setItem('tolvan-tour', 'yes'));
await page.addInitScript(() =>
  setInterval(() => {
    if (document.documentElement?.dataset.live !== 'yes') return;
    const gate = [...document.querySelectorAll('fieldset')].find((f) =>
      f.querySelector('legend')?.textContent?.startsWith('Before you go on'),
    );
    for (const box of gate?.querySelectorAll('input:not(:checked)') ?? []) box.click();
  }, 100),
);

await page.goto(address);
await shot('shelf');
await page.goto(`${address}/hangar`);
await shot('hangar');

const skua = await modelPath('Skua');
await open(`${skua}/job`);
await shot('job');

const loon = await modelPath('Loon');
for (const station of ['plan', 'throws', 'logbook'])
  await open(`${loon}/${station}`).then(() => shot(station));
await open(`${loon}/program`);
await page.keyboard.press('1');
await page.keyboard.press('1');
for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
await page.getByRole('button', { name: /^Switch A · mode/ }).hover();
await shot('program');
await open(`${loon}/mounting`);
await shot('mounting');
await open(`${loon}/rig`);
await page.getByRole('button', { name: 'Raise left wing' }).click();
await shot('rig');

const lynx = await modelPath('Lynx');
await open(`${lynx}/steering`);
const hand = page.getByRole('slider', { name: 'your hand' });
for (let i = 0; i < 12; i++) await hand.press('ArrowLeft');
await shot('steering');

const smew = await modelPath('Smew');
await open(`${smew}/model`);
await page.getByRole('heading', { name: 'Its parts' }).evaluate((e) => e.scrollIntoView());
await page.getByRole('button', { name: /^Elevator, / }).click();
await shot('model');

const merganser = await modelPath('Merganser');
await open(`${merganser}/entry`);
await page.getByRole('heading', { name: /^Read it back/ }).evaluate((e) => e.scrollIntoView());
await shot('entry');

const tern = await modelPath('Tern');
await open(`${tern}/proof`);
await page.getByText('Panic does not work from everywhere').first().waitFor();
await shot('proof');

const otter = await modelPath('Otter');
await open(`${otter}/level`);
await shot('level');
await open(`${otter}/sticks`);
await page.locator('section[data-check]').waitFor();
for (const key of ['Down', 'Up']) {
  await page.waitForTimeout(250);
  await page.keyboard.press(`Arrow${key}`);
}
await shot('sticks');

// A fault flown before and after its repair, with its chart, and the panic map of another model.

await page.setViewportSize({ width: 1280, height: 860 });
await open(`${otter}/fly`);
await page.getByRole('button', { name: /pulled the elevator stick back/ }).click();
await page.getByText(/nose rises, still flying/).waitFor();
await page
  .getByText(/^nose drops/)
  .first()
  .waitFor();
const moment = page.getByLabel(/^moment/);
for (let i = 0; i < 18; i++) await moment.press('ArrowRight');
await page.getByRole('heading', { name: 'Fly', exact: true }).evaluate((e) => e.scrollIntoView());
await page.waitForTimeout(1500);
await shot('fly');
await open(`${loon}/ask`);
await page.getByText('Experiment 1', { exact: true }).waitFor({ timeout: 60_000 });
await shot('ask');

await page.setViewportSize({ width: 390, height: 844 });
await open(`${loon}/preflight`);
await page.getByRole('button', { name: 'Go through it now' }).click();
for (let i = 0; i < 4; i++) await page.keyboard.press('y');
await shot('preflight-phone');
await open(`${smew}/model`);
await page.getByRole('heading', { name: 'Its parts' }).evaluate((e) => e.scrollIntoView());
await page.getByRole('button', { name: /^Elevator, / }).click();
await shot('model-phone');
await browser.close();
