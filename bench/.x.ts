import { asking, experimentsFor } from '../src/core/interrogate';
import { facetsOf, grounded } from '../src/core/possible';
import { UNITS } from '../src/core/catalogue';
import { makeSetup } from '../tests/kit/setups';
import { proofOf } from '../src/core/verify';
import '../src/core/verify/prover';
for (const name of Object.keys(UNITS)) {
  const base = name.startsWith('steering') ? makeSetup('car', name, 'surface-four') : makeSetup('conventional', name);
  const s = grounded(base, facetsOf(base), 'assumed');
  const t0 = performance.now(); proofOf(structuredClone(s)); const p = performance.now() - t0;
  const t1 = performance.now(); const a = asking(s, []); const f = performance.now() - t1;
  const t2 = performance.now(); asking(s, [{experiment: a.next!.experiment.id, answer: 'none'}]); const n = performance.now() - t2;
  console.log(name, experimentsFor(s).length, facetsOf(s).map(f=>f.values.length).join(','), 'proof', p.toFixed(0), 'first', f.toFixed(0), 'next', n.toFixed(0));
}
