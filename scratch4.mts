import { LAKE_HOLLOW } from './src/demo/lake-hollow';
import { proofOf } from './src/core/verify';
const setup = LAKE_HOLLOW[0]!().versions.at(-1)!.setup;
const p=proofOf(setup);
console.log(JSON.stringify(setup.intents.program,null,0)); console.log(setup.program.lines.filter(l=>l.purpose!=='stick').map(l=>JSON.stringify(l)).join('\n')); console.log(setup.program.logic.map(l=>JSON.stringify(l)).join('\n'));
console.log(p.controls, p.masterOff);
let n=0; for(const r of p.rows) if(r.panic&&!r.panic.righted&&n++<6) console.log(r.lo,r.hi,r.mode,r.remembered,r.panic);
console.log(JSON.stringify(p.results.find(r=>r.id==='panic')!.failures));
console.log(setup.unit.settings.slots, JSON.stringify(setup.unit.traits.modeSelect), setup.unit.traits.axes, setup.unit.settings.outputs);
