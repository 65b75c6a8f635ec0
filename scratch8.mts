import { cleanSetup } from './tests/kit/clean';
const c=cleanSetup(243)!.setup; console.log(c.program.outputs.map(o=>o.channel+' '+o.carries), c.installation.plugs, c.airframe.servos.map(s=>s.id+' '+s.carries), c.unit.settings.outputs.map(o=>o.port+' '+o.carries));
