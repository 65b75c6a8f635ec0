import { makeSetup } from './tests/kit/setups';
import { wished, ORDER_FAULTS } from './tests/kit/order-faults';
import { findingsOf } from './src/core/verify';
for (const u of ['switch-receiver','autopilot']) for (const f of findingsOf(makeSetup('conventional',u))) console.log(u,f.severity,f.rule,f.says);
for (const f of ORDER_FAULTS.filter(f=>f[0]==='M13')) { const s=structuredClone(f[2]()); f[3](s); console.log(f[1],findingsOf(s).map(x=>x.severity+' '+x.rule+' '+x.says)); }
