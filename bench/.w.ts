import { asking, observerOf, type Told } from '../src/core/interrogate';
import { facetsOf, grounded, withValues } from '../src/core/possible';
import { UNITS } from '../src/core/catalogue';
import { randomOf } from '../src/core/dice';
import { makeSetup } from '../tests/kit/setups';
import type { Setup } from '../src/core/setup';
const described = (name: string): Setup => name.startsWith('steering') ? makeSetup('car', name, 'surface-four') : makeSetup('conventional', name);
const PERFECT = { wrong: 0, unsure: 0, seed: 1 };
function walk(setup: Setup, real: Setup) {
  const see = observerOf(real, PERFECT);
  const told: Told[] = []; let now = asking(setup, told); const h0 = now.openBits; let one = -1; let bits = 0; let split = 0; let oneBits=0; let hOne=0;
  for (;;) {
    const single = now.facts.every(f => f.by==='untold' || f.agreeing.length === 1);
    
    if (!now.next) break;
    bits += now.next.bits; if (!now.next.confirms) { split++; oneBits += now.next.bits; hOne = now.openBits; }
    told.push({ experiment: now.next.experiment.id, answer: see(now.next.experiment) });
    now = asking(setup, told);
  }
  one = split;
  const seconds = told.length;
  return { n: told.length, one, h0, h1: now.openBits, hOne, mean: oneBits / one, ratio: one / ((h0 - now.openBits) / (oneBits / one)), outside: now.outside, doubted: now.doubted.length, by: now.facts.map(f=>f.by[0]+f.agreeing.length).join(' ') };
}
const names = Object.keys(UNITS).filter(n => !process.argv[3] || n===process.argv[3]);
const N = Number(process.argv[2] ?? 0);
const ratios: number[] = []; const all: number[] = [];
for (const name of names) {
  const base = described(name);
  const d = walk(base, base);
  const nothing = grounded(base, facetsOf(base), 'assumed');
  const z = walk(nothing, base);
  console.log(name.padEnd(22), 'right description', d.n, 'one', d.one, '| nothing known', z.n, 'one', z.one, 'bits', z.h0.toFixed(1), '→', z.h1.toFixed(1), 'mean', z.mean.toFixed(2), 'ratio', z.ratio.toFixed(2), z.by);
  ratios.push(z.ratio);
  for (let i = 0; i < N; i++) {
    const random = randomOf(i * 13 + 5);
    const picked = facetsOf(nothing).map((f) => ({ f, v: f.values[Math.floor(random() * f.values.length)]! }));
    const real = withValues(nothing, picked.filter(({ f, v }) => v.key !== f.now).map(({ v }) => v));
    const r = walk(nothing, real); ratios.push(r.ratio); all.push(r.one);
  }
}
ratios.sort((a, b) => a - b); all.sort((a,b)=>a-b);
console.log('median ratio', ratios[ratios.length >> 1], 'of', ratios.length, 'random n median', all[all.length>>1], 'max', all.at(-1));
