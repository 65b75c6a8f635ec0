import { wished } from './tests/kit/order-faults';
const s=wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } });
console.log(JSON.stringify(s.program.logic,null,0)); console.log(s.airframe.surfaces.map(x=>[x.id,JSON.stringify(x.linkage)]), s.airframe.servos.map(x=>[x.degAt500Us,x.limitDeg]), s.program.outputs.map(o=>[o.carries,o.minPct,o.maxPct]), s.program.inputs.map(i=>JSON.stringify(i)));
