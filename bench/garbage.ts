import { PerformanceObserver } from 'node:perf_hooks';
import { setTimeout } from 'node:timers/promises';
import { compileChain } from '../src/core/chain';
import { BATCH, ending, play, readyToFly, situationOf } from '../src/core/motion';
import { makeSetup } from '../tests/kit/setups';

const CHAIN_STEPS = 2_000_000;
const FLOWN_S = 600;

/** How often garbage was collected while something ran, and which share of its time that took, percent. */
async function collected(work: () => void): Promise<string> {
  let [times, ms] = [0, 0];
  const observer = new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) {
      times += 1;
      ms += duration;
    }
  });
  observer.observe({ entryTypes: ['gc'] });
  const start = performance.now();
  work();
  const took = performance.now() - start;
  // What was observed is told in a turn of its own.
  await setTimeout(50);
  observer.disconnect();
  return `${times} (${((100 * ms) / took).toFixed(1)} % of the time)`;
}

/** Collections in the innermost loops, where nothing should be left behind, beside a loop that leaves one object a step. */
export async function garbage(): Promise<void> {
  const setup = makeSetup();
  const chain = compileChain(setup);
  const [memory, frame, stimulus] = [chain.newMemory(), chain.newFrame(), chain.restStimulus()];
  const steps = () => {
    for (let i = 0; i < CHAIN_STEPS; i++) {
      stimulus.controls[i % stimulus.controls.length] = (i % 201) - 100;
      stimulus.rollDeg = i % 40;
      stimulus.dtS = 0.01;
      chain.step(stimulus, memory, frame);
    }
  };
  let kept: unknown;
  const littering = () => {
    for (let i = 0; i < CHAIN_STEPS; i++) kept = { roll: i, pitch: i, yaw: i, at: kept === i };
  };
  const ready = readyToFly(setup);
  if (!ready.ok) throw new Error(ready.reason);
  const made = {
    ...situationOf(setup, 'hands-off'),
    wind: { turbulenceMps: 0.5 },
    seconds: FLOWN_S,
  };
  const fly = () => void play(ready.pilot, made, [ending(0.1)], BATCH);
  steps();
  fly();
  const [inChain, inFlight, littered] = [
    await collected(steps),
    await collected(fly),
    await collected(littering),
  ];
  console.log(
    `garbage collections in ${CHAIN_STEPS / 1e6} million steps: chain ${inChain}, one object a step ${littered}; ` +
      `in ${FLOWN_S} s of flight (${(FLOWN_S / 0.01) | 0} steps): ${inFlight}   (aim 0)`,
  );
}
