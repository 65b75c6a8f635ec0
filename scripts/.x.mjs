import { chromium } from '@playwright/test';
import { find } from './chromium.mjs';
const b = await chromium.launch({ executablePath: find(), args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
p.on('pageerror', (e) => console.log('ERR', e.message));
await p.goto('http://127.0.0.1:4460/');
const href = await p
  .locator('a[href*="/models/"]')
  .filter({ hasText: /Loon/ })
  .first()
  .getAttribute('href');
console.log(href);
const base =
  'http://127.0.0.1:4460' +
  href
    .replace(/\/(job|next)?$/, '')
    .split('/')
    .slice(0, 3)
    .join('/');
await p.goto(base + '/unit');
await p.getByRole('button', { name: 'I have no leaflet' }).click();
await p.getByRole('link', { name: 'Ask the unit' }).first().waitFor();
await p.screenshot({ path: '/tmp/u.png' });
await p.goto(base + '/proof');
await p.getByRole('heading', { name: 'What the proof stands on' }).waitFor({ timeout: 120000 });
await p.getByRole('heading', { name: 'What the proof stands on' }).scrollIntoViewIfNeeded();
await p.screenshot({ path: '/tmp/p.png' });
await p.goto(base + '/ask');
await p.waitForTimeout(9000);
await p.screenshot({ path: '/tmp/a.png' });
console.log(await p.locator('main').innerText());
await b.close();
