import { asking, observerOf, possibleUnit, experimentsFor, type Told } from '../src/core/interrogate';
import { facetsOf, grounded, withValues } from '../src/core/possible';
import { randomOf } from '../src/core/dice';
import { makeSetup } from '../tests/kit/setups';
const base = makeSetup('car', 'steering-lead', 'surface-four');
const s = grounded(base, facetsOf(base), 'assumed');
const random = randomOf(77);
const picked = facetsOf(s).map((facet) => ({ facet, value: facet.values[Math.floor(random() * facet.values.length)]! }));
console.log(picked.map(p=>p.facet.id+'='+p.value.key).join(' '));
const real = withValues(s, picked.filter(({ facet, value }) => value.key !== facet.now).map(({ value }) => value));
const see = observerOf(real, { wrong: 0, unsure: 0, seed: 1 });
const told: Told[] = []; let now = asking(s, told);
const fact = () => now.facts.find(f=>f.facet.id==='gain-lead')!;
while (now.next) { const e = now.next.experiment; const a = see(e); console.log(told.length + 1, now.next.confirms ? 'c' : '*', JSON.stringify(e.controls), JSON.stringify(e.act), e.fresh?'fresh':'', e.leadOut?'lead':'', '→', a, possibleUnit(real).show(e), '|', now.next.about.join(' ')); told.push({ experiment: e.id, answer: a }); now = asking(s, told); console.log('   ', fact().values, fact().by) }
console.log(now.facts.map(f=>f.facet.id+' '+f.by+' '+f.values.join('/')).join('\n'));
for (const e of experimentsFor(s).filter(e=>e.leadOut)) for (const v of ['keeps-last','zero','full']) { const f = facetsOf(real).find(f=>f.id==='gain-lead')!; console.log(JSON.stringify(e.controls), JSON.stringify(e.act), v, possibleUnit(v===f.now?real:withValues(real, f.values.filter(x=>x.key===v))).show(e)); }
