import {
  BATCH,
  ending,
  panicMap,
  panicStates,
  play,
  readyToFly,
  situationOf,
  STEPS,
  type Steps,
} from '../src/core/motion';
import { LAKE_HOLLOW } from '../src/demo/lake-hollow';
import { proofOf } from '../src/core/verify';
import { makeSetup } from '../tests/kit/setups';
import { took } from './took';

/** How many times quicker than the air a minute of gusty flight is flown, the chain and the body closed. */
function motionRatio(steps: Steps): number {
  const setup = makeSetup();
  const made = { ...situationOf(setup, 'hands-off'), wind: { turbulenceMps: 0.5 }, seconds: 60 };
  const ready = readyToFly(setup);
  if (!ready.ok) throw new Error(ready.reason);
  const fly = () => {
    const end = ending(0.1);
    play(ready.pilot, made, [end], steps);
    return end.answer().seconds;
  };
  fly();
  const rounds = Array.from({ length: 5 }, () => {
    let flown = 0;
    const ms = took(() => (flown = fly()));
    return flown / (ms / 1000);
  });
  return rounds.toSorted((a, b) => a - b)[2]!;
}

/** Models tried over the spreads, as the page does. */
const DRAWS = 20;

/** The panic map of the demo model with the most states: all of it, and its first picture. */
function panicSeconds(): { name: string; states: number; first: number; whole: number } {
  const [worst] = LAKE_HOLLOW.map((make) => make().versions.at(-1)!.setup)
    .map((setup) => ({ setup, proof: proofOf(setup) }))
    .map((m) => ({ ...m, states: panicStates(m.setup, m.proof).length }))
    .toSorted((a, b) => b.states - a.states);
  const { setup, proof, states } = worst!;
  let first = 0;
  let whole = 0;
  const maps = panicMap(setup, proof, DRAWS);
  for (let done = false; !done;) {
    whole += took(() => {
      const next = maps.next();
      done = next.done === true;
      if (!done) first ||= next.value.draws === 1 && next.value.cells.length === 35 ? -1 : 0;
    });
    if (first === -1) first = whole;
  }
  return { name: setup.name, states, first: first / 1000, whole: whole / 1000 };
}

export function motionRatios(): void {
  const many = motionRatio(BATCH);
  const one = motionRatio(STEPS);
  console.log(`flight / real time, steps of 10 ms: ${many.toFixed(0)} ×   (aim ≥ 600)`);
  console.log(`flight / real time, steps of 5 ms: ${one.toFixed(0)} ×`);
  const { name, states, first, whole } = panicSeconds();
  console.log(
    `panic map of ${name}, ${states} states, ${DRAWS} draws: ${whole.toFixed(1)} s of one processor, its first picture after ${first.toFixed(1)} s   (aim ≤ 30 and 2)`,
  );
}
