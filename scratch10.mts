import { MUTATIONS } from './tests/kit/mutations';
import { parseSetup } from './src/core/setup';
import { prove, findingsOf } from './src/core/verify';
let miss=0; const per:Record<string,number>={};
for (const mu of MUTATIONS) { per[mu.requirement]=(per[mu.requirement]??0)+1; const clean=mu.start(); const before=(prove(clean).results.find(r=>r.id===mu.requirement)?.failures??[]).filter(f=>f.severity==='stop'||mu.severity);
 if(before.length) console.log('NOT CLEAN',mu.requirement,mu.words,before[0]!.says);
 const s=structuredClone(clean); try { mu.spoil(s);} catch(e){ console.log('SPOIL',mu.requirement,mu.words,(e as Error).message); continue; } const read=parseSetup(s); if(!read.ok){ console.log('INVALID',mu.requirement,mu.words,JSON.stringify(read.problems).slice(0,200)); continue;}
 const r=prove(read.value).results.find(r=>r.id===mu.requirement); const hit=r?.failures.filter(f=>mu.severity?true:f.severity==='stop')??[];
 if(!hit.length){ miss++; console.log('MISS',mu.requirement,'|',mu.words,'|',r?.failures.map(f=>f.severity+' '+f.says), '| else:', findingsOf(read.value).filter(f=>f.severity==='stop').map(f=>f.rule+' '+f.says).slice(0,2)); } 
 else if(!hit[0]!.witness && !['devices'].includes(mu.requirement)) console.log('NO WITNESS',mu.requirement,mu.words); }
console.log(miss,MUTATIONS.length,per);
