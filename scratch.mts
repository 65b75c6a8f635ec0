import { walkAnywhere } from './tests/kit/hands';
import { randomProgram } from './tests/kit/random-program';
const N=Number(process.argv[2]??50), M=Number(process.argv[3]??500), rich=process.argv[4]!=='plain';
let ref=0, large=0, cells=0; const t0=performance.now(); let worst=0,ws=0;
for(let s=1;s<=N;s++){ const setup=randomProgram(s,{logic:4,lines:8,rich});
 const t=performance.now(); const w=walkAnywhere(setup,s*7+1,M,60000); const d=performance.now()-t; if(d>worst){worst=d;ws=s}
 cells+=w.cells; if(w.tooLarge) large++; if(w.refuted){ref++; if(ref<4) console.log(s,w.refuted)} }
console.log({N,ref,large,cells,ms:performance.now()-t0,worst,ws});
