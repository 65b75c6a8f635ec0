import { cleanSetup } from './tests/kit/clean';
import { findingsOf, proofOf } from './src/core/verify';
let n=0,stops=0,caut=0,notes=0; const by:Record<string,number>={}; const ex:Record<string,string>={}; let worst=0,wn=''; const t0=performance.now();
for(let s=1; n<Number(process.argv[2]??260); s++){ const c=cleanSetup(s); if(!c) continue; n++; const t=performance.now(); let f; try { proofOf(c.setup); const d=performance.now()-t; if(d>worst){worst=d;wn=c.name} f=findingsOf(c.setup);} catch(e){ console.log('THROW',c.name,e); continue;}
 let st=false; for(const x of f){ if(x.severity==='stop') st=true; if(x.severity==='caution') caut++; if(x.severity!=='note'){ const k=x.severity+' '+x.rule; by[k]=(by[k]??0)+1; ex[k]??=c.name.slice(0,170)+' :: '+x.says; } }
 if(st) stops++; }
console.log({n,stops,caut,avg:caut/n,ms:performance.now()-t0,worst,wn:wn.slice(0,200)}); console.log(by); for(const k in ex) console.log(k,'=>',ex[k]);
