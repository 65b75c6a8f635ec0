// One command from nothing to the demo club in the browser.
import { run } from './prepare.mjs';
import { ready } from './ready.mjs';

process.env.TOLVAN_DATA ??= 'data/demo';
await ready(() => run('npx', ['tsx', 'src/demo/fill.ts']));
