import { chromium } from 'playwright';
import { find } from './chromium.mjs';
const b = await chromium.launch({ executablePath: find() });
const one = async (ctx, path) => { const p = await ctx.newPage(); const t = Date.now(); let n=0,bytes=0; p.on('response',async r=>{n++; const l=+(r.headers()['content-length']??0); bytes+=l}); await p.goto('http://127.0.0.1:4460'+path); await p.locator('html[data-live]').waitFor({state:'attached'}); const ms=Date.now()-t; await p.waitForLoadState('networkidle'); const idle=Date.now()-t; await p.close(); return [ms,idle,n,bytes]; };
const c0 = await b.newContext(); const p = await c0.newPage(); await p.goto('http://127.0.0.1:4460/'); const href = await p.locator('a[href^="/models/"]:not([href$="new"])').first().getAttribute('href'); console.log(href); await c0.close();
const base = href.split('/').slice(0,3).join('/');
for (let k=0;k<4;k++){ const c = await b.newContext(); console.log('fresh', await one(c, base+'/proof')); await c.close(); }
const c = await b.newContext();
for (let k=0;k<6;k++) console.log('same', await one(c, base+'/proof'));
await b.close();
