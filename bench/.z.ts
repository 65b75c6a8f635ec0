const a = JSON.parse(JSON.stringify((await import('../tests/kit/setups')).makeSetup('conventional','autopilot').unit));
const clone = (v:any):any => Array.isArray(v) ? v.map(clone) : v && typeof v==='object' ? Object.fromEntries(Object.entries(v).map(([k,x])=>[k,clone(x)])) : v;
const clone2 = (v:any):any => { if (Array.isArray(v)) return v.map(clone2); if (v && typeof v==='object'){const o:any={}; for(const k in v)o[k]=clone2(v[k]); return o;} return v;};
for (const [n,f] of [['structured',structuredClone],['json',(x:any)=>JSON.parse(JSON.stringify(x))],['entries',clone],['forin',clone2]] as any){ for(let i=0;i<2000;i++)f(a); const t=performance.now(); for(let i=0;i<5000;i++)f(a); console.log(n,((performance.now()-t)/5).toFixed(1),'us'); }
