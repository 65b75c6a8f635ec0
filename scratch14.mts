import { makeSetup, watch, watchAs } from './tests/kit/setups';
import { diagnose } from './src/core/directions';
for (const [k,u] of [['v-tail','menu-receiver'],['flying-wing','menu-receiver'],['inverted-v-tail','fixed-order-receiver'],['flying-wing','autopilot'],['v-tail','switch-receiver'],['conventional','menu-receiver']] as const) { const w=makeSetup(k,u); console.log(k,u,w.unit.settings.wingType);
 for (const o of w.program.outputs.filter(o=>['aileron','elevator','rudder'].includes(o.carries))) { const r=structuredClone(w); r.program.outputs.find(x=>x.channel===o.channel)!.reversed=!o.reversed;
  const d=diagnose(w,watchAs(w,r)); console.log(' ',o.carries,d.learned.map(c=>c.atom),d.changes.map(c=>c.title),d.proved,d.contradiction, d.candidates.map(c=>c.titles.join('+'))); 
  const d2=diagnose(r,watch(r)); console.log('   known:',d2.learned.map(c=>c.atom),d2.changes.map(c=>c.title),d2.proved); } 
 // wrong wing by sticks alone
 for (const wing of ['normal','delta','v-tail'] as const) if (wing!==w.unit.settings.wingType) { const r=structuredClone(w); r.unit.settings.wingType=wing; const seen=watchAs(w,r,true).filter(o=>o.check.startsWith('stick')); const d=diagnose(w,seen); console.log('  wing',wing,d.learned.map(c=>c.atom),d.changes.map(c=>c.title),d.proved,d.unfinished,d.candidates.length); } }
