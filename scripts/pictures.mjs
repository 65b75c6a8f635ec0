// Takes the pictures in docs/screenshots from a demo that is running: node scripts/pictures.mjs ADDRESS
import { chromium } from '@playwright/test';

const address = process.argv[2] ?? 'http://127.0.0.1:4400';
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name) => {
  await page.waitForTimeout(700);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const modelPath = async (name) => {
  await page.goto(address);
  return (await page.getByRole('link', { name }).getAttribute('href')).replace(/\/[^/]*$/, '');
};

await page.goto(address);
await shot('shelf');
await page.goto(`${address}/models/new`);
await shot('new');
await page.goto(`${address}/hangar`);
await shot('hangar');
await page.goto(`${address}/hangar/satellite-gyro`);
await shot('unit-page');
const loon = await modelPath('Loon');
for (const station of [
  'model',
  'transmitter',
  'wiring',
  'plain',
  'unit',
  'program',
  'sheet',
  'panic',
  'failsafe',
]) {
  await page.goto(address + loon + `/${station}`);
  await shot(station);
}
await page.goto(address + loon + '/rig');
await page.getByRole('button', { name: 'Cut the link' }).waitFor();
await page.keyboard.press('1');
await page.keyboard.press('1');
await page.getByRole('button', { name: 'Raise left wing' }).click();
await shot('rig');

const tern = await modelPath('Tern');
await page.goto(address + tern + '/proof');
await page.getByText('Panic does not work from everywhere').waitFor();
await shot('proof');

const otter = await modelPath('Otter');
await page.goto(address + otter + '/level');
await shot('level');
await page.goto(address + otter + '/plan');
await shot('plan');
await page.goto(address + otter + '/directions');
const answers = [
  'ArrowDown',
  'ArrowUp',
  'ArrowDown',
  'ArrowRight',
  'ArrowDown',
  'ArrowUp',
  'ArrowDown',
];
for (const key of answers) {
  await page.waitForTimeout(250);
  await page.keyboard.press(key);
}
await page.waitForTimeout(500);
await shot('directions');
await page.setViewportSize({ width: 390, height: 844 });
await shot('directions-phone');
await browser.close();
