import { asking, observerOf, experimentWords, type Told } from '../src/core/interrogate';
import { facetsOf, grounded } from '../src/core/possible';
import { makeSetup } from '../tests/kit/setups';
const n = process.argv[2]!; const base = n.startsWith('steering') ? makeSetup('car', n, 'surface-four') : makeSetup('conventional', n);
const s = process.argv[3] ? grounded(base, facetsOf(base), 'assumed') : base;
const see = observerOf(base, { wrong: 0, unsure: 0, seed: 1 });
const told: Told[] = []; let now = asking(s, told);
while (now.next) { const e = now.next.experiment; const a = see(e); console.log(told.length + 1, now.next.confirms ? 'c' : '*', now.next.bits.toFixed(2), e.seconds, JSON.stringify(e.controls), JSON.stringify(e.act), e.fresh?'fresh':'', e.leadOut?'lead':'', '→', a, '|', now.next.about.join(' ')); told.push({ experiment: e.id, answer: a }); now = asking(s, told); }
