// A patched copy that shares what it does not touch, against the general library that copies the whole first.
import jsonPatch from 'fast-json-patch';
import { Bench } from 'tinybench';
import { factAtoms } from '../src/core/directions';
import { applyPatch, type PatchOperation } from '../src/core/patch';
import { makeSetup } from '../tests/kit/setups';

/** Prints how many times quicker a Setup is patched than by the library alone. */
export async function patchRatio(): Promise<void> {
  const setup = makeSetup('v-tail');
  const patches = factAtoms(setup).map((a) => a.patch as PatchOperation[]);
  for (const patch of patches) {
    const plain = jsonPatch.applyPatch(setup, patch, true, false).newDocument;
    if (JSON.stringify(plain) !== JSON.stringify(applyPatch(setup, patch)))
      throw new Error('the two patch differently');
  }
  let at = 0;
  const next = () => patches[at++ % patches.length]!;
  const bench = new Bench({ time: 400 });
  bench
    .add('shared', () => void applyPatch(setup, next()))
    .add('copied', () => void jsonPatch.applyPatch(setup, next(), true, false));
  await bench.run();
  const latency = (name: string) => {
    const result = bench.getTask(name)!.result;
    return 'latency' in result ? result.latency.mean : NaN;
  };
  console.log(
    `patching a Setup, a general library that copies it whole / copies along the path: ${(latency('copied') / latency('shared')).toFixed(0)}`,
  );
}
