import { MUTATIONS } from './tests/kit/mutations';
import { prove } from './src/core/verify';
const mu=MUTATIONS.find(m=>m.words.startsWith('three flicks of'))!; const s=structuredClone(mu.start()); mu.spoil(s);
console.log(JSON.stringify(s.program.logic)); console.log(JSON.stringify(prove(s).results.find(r=>r.id==='motor-cut')!.failures,null,1));
