import { wished } from './tests/kit/order-faults';
import { prove, findingsOf, verify, proofOf, REQUIREMENTS, chainOf } from './src/core/verify';
import { Asked } from './src/core/verify/asked';
import { LAKE_HOLLOW } from './src/demo/lake-hollow';
function worst() { const setup = wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 }, launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 }, gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sc', offPosition: 2 }, rates: { offPct: 50, offExpoPct: 30, onPct: 100, onExpoPct: 20 }, callouts: true, timerMin: 8 }); setup.program.logic.push({ id: 'second-latch', label: 'Landing light', op: 'latch', set: { kind: 'switch', control: 'sd', position: 2 }, reset: { kind: 'switch', control: 'sd', position: 0 } }); return setup; }
const w=worst(); let s=0;
for (let i=0;i<8;i++){ const c=structuredClone(w); c.program.lines.push({...c.program.lines[0]!,id:'n'+i,channel:16,offsetPct:i, label:'x'});
 // defeat kept tables
 (c.transmitter.controls as any)[0].label='x'+i; c.transmitter.pulse={...c.transmitter.pulse, centreUs: 1500+i*0.01};
 const a=new Asked(c); const per:string[]=[]; const t0=performance.now(); a.orders; const tt=performance.now(); a.orderCells; const tc=performance.now();
 for(const r of REQUIREMENTS) if(r.applies(c)){ const t=performance.now(); r.check(a); const d=performance.now()-t; if(d>2) per.push(r.id+' '+d.toFixed(0)); }
 console.log('orders',(tt-t0).toFixed(0),'cells',(tc-tt).toFixed(0),a.orders.cells.length,'mem',a.orders.memories.length,'total',(performance.now()-t0).toFixed(0),per.join(', ')); }
const t=performance.now(); const c=structuredClone(w); verify(c); console.log('verify',performance.now()-t);
