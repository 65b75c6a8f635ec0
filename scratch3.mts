import { LAKE_HOLLOW } from './src/demo/lake-hollow';
import { proofOf, verify, findingsOf } from './src/core/verify';
for (const make of LAKE_HOLLOW) { const m = make(); const setup = (m as any).setup ?? (m as any).versions?.at(-1)?.setup ?? (m as any).versions?.at(-1);
 if(!setup) {console.log(Object.keys(m)); continue;}
 const t=performance.now(); const p=proofOf(setup); const d=performance.now()-t; const t2=performance.now(); const f=verify(setup); const d2=performance.now()-t2;
 console.log('##',setup.name, 'proof ms',d.toFixed(0),'verify',d2.toFixed(0),'cells',p.visited,'complete',p.complete);
 for(const x of f) console.log('  ',x.severity,x.rule,x.requirements.join(),x.says.slice(0,140),'| remedies',x.remedies.length);
}
