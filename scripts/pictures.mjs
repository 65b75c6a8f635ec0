// Takes the pictures in docs/screenshots from a fresh demo that is running: node scripts/pictures.mjs ADDRESS
import { chromium } from '@playwright/test';

const address = process.argv[2] ?? 'http://127.0.0.1:4400';
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
});
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  reducedMotion: 'reduce',
});
const page = await context.newPage();
const shot = async (name) => {
  await page.waitForTimeout(900);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const modelPath = async (name) => {
  await page.goto(address);
  return (await page.getByRole('link', { name }).getAttribute('href')).replace(/\/[^/]*$/, '');
};

await page.goto(address);
await shot('shelf');
await page.goto(`${address}/hangar`);
await shot('hangar');

const skua = await modelPath('Skua');
await page.goto(`${address}${skua}/job`);
await page.getByText('The whole job').waitFor();
await shot('job');

const loon = await modelPath('Loon');
for (const station of [
  'plain',
  'program',
  'sheet',
  'mounting',
  'panic',
  'failsafe',
  'tune',
  'log',
]) {
  await page.goto(`${address}${loon}/${station}`);
  await shot(station);
}
await page.goto(`${address}${loon}/calibration`);
await page.getByRole('button', { name: '… shown end for end' }).click();
await shot('calibration');
await page.goto(`${address}${loon}/rig`);
await page.getByRole('button', { name: 'Cut the link' }).waitFor();
await page.keyboard.press('1');
await page.keyboard.press('1');
await page.getByRole('button', { name: 'Raise left wing' }).click();
await shot('rig');

const tern = await modelPath('Tern');
await page.goto(`${address}${tern}/proof`);
await page.getByText('Panic does not work from everywhere').waitFor();
await shot('proof');

const otter = await modelPath('Otter');
await page.goto(`${address}${otter}/level`);
await shot('level');
await page.goto(`${address}${otter}/plan`);
await shot('plan');
await page.goto(`${address}${otter}/directions`);
await page.locator('section[data-check]').waitFor();
for (const key of ['Down', 'Up', 'Down', 'Left', 'Down', 'Up', 'Down']) {
  await page.waitForTimeout(250);
  await page.keyboard.press(`Arrow${key}`);
}
await page.waitForTimeout(500);
await shot('directions');

await page.setViewportSize({ width: 390, height: 844 });
await shot('directions-phone');
await page.goto(`${address}${loon}/preflight`);
await page.getByRole('button', { name: 'Go through it now' }).click();
for (let i = 0; i < 4; i++) await page.keyboard.press('y');
await shot('preflight-phone');
await browser.close();
