import { largeSetup } from './tests/kit/large';
import { proofOf, verify } from './src/core/verify';
for (const n of [4,6,8,11]) { const s=largeSetup(n); const t=performance.now(); const p=proofOf(s); console.log(n,(performance.now()-t).toFixed(0),p.visited,p.complete,[...new Set(p.results.flatMap(r=>r.leftOut))]); }
