// The diagnosis over every mounting, reversal and swapped plug: its rate against asking the chain.
import { Bench } from 'tinybench';
import { explain, factAtoms } from '../src/core/directions';
import { structuresOf } from '../src/core/directions/structures';
import { applyPatch } from '../src/core/patch';
import { makeSetup, watchAs } from '../tests/kit/setups';

/** Prints diagnoses a second, and one diagnosis against one look at the model through the chain. */
export async function diagnosisRatio(): Promise<void> {
  const written = makeSetup('v-tail');
  const [rod] = factAtoms(written).filter((a) => a.place === 'linkage');
  const reals = structuresOf(written)
    .filter((s) => s.length === 2)
    .map((s) =>
      applyPatch(
        written,
        [...s, rod!].flatMap((x) => x.patch),
      ),
    );
  const seen = reals.map((real) => watchAs(written, real, true));
  let at = 0;
  const bench = new Bench({ time: 800 });
  bench
    .add('diagnosis', () => void explain(written, seen[at++ % seen.length]!))
    .add('look', () => void watchAs(written, reals[at++ % reals.length]!, true));
  await bench.run();
  const latency = (name: string) => {
    const result = bench.getTask(name)!.result;
    return 'latency' in result ? result.latency.mean : NaN;
  };
  console.log(
    `diagnosis time / one look through the chain: ${(latency('diagnosis') / latency('look')).toFixed(2)}   (${(1000 / latency('diagnosis')).toFixed(0)} diagnoses a second, ${structuresOf(written).length} ways the model may be built × ${2 ** factAtoms(written).length} reversals)`,
  );
}
