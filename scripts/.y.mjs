import { chromium } from 'playwright';
import { find } from './chromium.mjs';
const b = await chromium.launch({ executablePath: find() });
const c = await b.newContext(); const p = await c.newPage(); p.on('response',async r=>{const u=new URL(r.url()); const body=await r.body().catch(()=>Buffer.alloc(0)); console.log(r.request().resourceType(), r.status(), u.pathname+u.search.slice(0,30), body.length)}); await p.goto('http://127.0.0.1:4460'+process.argv[2]); await p.waitForLoadState('networkidle'); await p.waitForTimeout(500);
await b.close();
