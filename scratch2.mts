import { randomProgram } from './tests/kit/random-program';
import { compileChain } from './src/core/chain';
import { coneOf, tableOf, watchOf } from './src/core/verify/explore/index2';
const s=Number(process.argv[2]); const setup=randomProgram(s,{logic:4,lines:8,rich:true});
console.log(JSON.stringify(setup.program.logic),'\n'+setup.program.lines.filter(l=>[1,5,6].includes(l.channel)).map(l=>JSON.stringify(l)).join('\n'));
const chain=compileChain(setup); const watch=watchOf(setup); const cone=coneOf(setup,watch.map(w=>w.at+1));
const t=tableOf(chain,cone,watch); console.log(watch,cone,t.cells.length,t.tooLarge);
for(const c of t.cells.slice(0,6)) console.log([...c.box.lo],[...c.box.hi],[...c.us],[...c.truth]);
