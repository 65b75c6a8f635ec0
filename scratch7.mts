import { cleanSetup } from './tests/kit/clean';
import { findingsOf, proofOf } from './src/core/verify';
import { compileChain } from './src/core/chain';
for (const s of process.argv.slice(2).map(Number)) { const c=cleanSetup(s)!; console.log(c.name); 
for(const x of findingsOf(c.setup)) if(x.severity==='stop') console.log(x.rule,x.says,JSON.stringify(x.witness),x.about);
if (s===78) { const st=c.setup; console.log(JSON.stringify(st.unit.settings.angleLimitsDeg), st.unit.settings.pitchWithThrottle, st.unit.settings.axes, st.unit.settings.outputs, st.installation.levelCapture, st.airframe.measures.flyingPitchDeg); const ch=compileChain(st); const f=ch.newFrame(); const m=ch.newMemory(); m.armed=true; const stim=ch.restStimulus(); 
 for(const [k,v] of Object.entries(findingsOf(st).find(x=>x.rule==='corrections')!.witness!.controls)) stim.controls[ch.layout.controls.get(k)!]=v;
 for (const r of [0,20,75]) { ch.step({...stim,rollDeg:r},m,f); console.log(r,f.mode,[...f.gainPct],[...f.correctionPct],[...f.portsUs],[...f.surfaceDeg],f.believedPitchDeg); } }
if (s===148) { const st=c.setup; console.log(st.program.outputs, st.unit.settings.inputs, st.unit.settings.outputs, st.installation.plugs, st.program.lines.filter(l=>l.purpose!=='mode')); } }
