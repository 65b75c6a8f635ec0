import { asking } from '../src/core/interrogate';
import { facetsOf, grounded } from '../src/core/possible';
import { makeSetup } from '../tests/kit/setups';
const base = makeSetup('conventional', process.argv[2]!);
for(let i=0;i<4;i++){const b=structuredClone(base); const s = grounded(b, facetsOf(b), 'assumed'); const t1 = performance.now(); asking(s, []); console.log(performance.now() - t1);}
