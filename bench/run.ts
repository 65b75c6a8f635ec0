// Speed as ratios within one run; nothing here is an absolute time.
import { Bench } from 'tinybench';
import '../src/core/verify/prover';
import { makeSetup } from '../tests/kit/setups';
import { compileChain } from '../src/core/chain';
import { diagnosisRatio } from './diagnosis';
import { garbage } from './garbage';
import { motionRatios } from './motion';
import { pageRatios } from './pages';
import { possibleRatios } from './possible';
import { patchRatio } from './patch';
import { plannerRatio } from './planner';
import { poseCounts } from './poses';
import { proofRatios } from './proof';
import { serverRatios } from './server';
import { straightLine } from './straight-line';
import { workshopRatios } from './workshop';

const setup = makeSetup();
setup.unit.settings.slots = ['rate', 'rate', 'rate'];
const chain = compileChain(setup);
const memory = chain.newMemory();
const frame = chain.newFrame();
const stimulus = chain.restStimulus();
const answer = new Float64Array(6);

/** A different moment for every call, so that nothing can be worked out once. */
let tick = 0;
function move() {
  tick += 1;
  stimulus.controls[0] = (tick * 7) % 100;
  stimulus.controls[1] = (tick * 13) % 100;
  stimulus.rollDeg = (tick * 3) % 80;
  stimulus.pitchDeg = (tick * 5) % 60;
  stimulus.rollRateDegPerS = (tick * 11) % 200;
}

// Both must say the same before their speeds mean anything.
for (let i = 0; i < 1000; i++) {
  move();
  chain.step(stimulus, memory, frame);
  straightLine(stimulus, answer);
  const chainSays = [...frame.surfaceDeg, frame.believedRollDeg, frame.believedPitchDeg];
  chainSays.forEach((value, s) => {
    if (Math.abs(answer[s]! - value) > 1e-6)
      throw new Error(`straight line and chain differ at ${s}: ${answer[s]} ${value}`);
  });
}

/** Evaluations a second of each, in turns, so that a busy moment of the machine hits both. */
async function round(): Promise<[number, number]> {
  const bench = new Bench({ time: 500 });
  // Written out twice on purpose: a shared loop would keep the compiler from joining either with it.
  bench
    .add('chain', () => {
      for (let i = 0; i < 1000; i++) {
        move();
        chain.step(stimulus, memory, frame);
      }
    })
    .add('straight line', () => {
      for (let i = 0; i < 1000; i++) {
        move();
        straightLine(stimulus, answer);
      }
    });
  await bench.run();
  const rate = (name: string) => {
    const result = bench.getTask(name)!.result;
    return 'throughput' in result ? result.throughput.mean * 1000 : NaN;
  };
  return [rate('chain'), rate('straight line')];
}

const rounds: [number, number][] = [];
for (let i = 0; i < 7; i++) rounds.push(await round());
const median = (values: number[]) => values.toSorted((a, b) => a - b)[values.length >> 1]!;
const ratio = median(rounds.map(([a, b]) => a / b));
console.log(`chain evaluations a second: ${median(rounds.map(([a]) => a)).toExponential(2)}`);
console.log(`chain / hand-written straight line: ${ratio.toFixed(2)}   (aim ≥ 0.5)`);
motionRatios();
await garbage();
await plannerRatio();
await proofRatios();
possibleRatios();
await diagnosisRatio();
await patchRatio();
poseCounts();
await pageRatios();
await workshopRatios();
await serverRatios();
