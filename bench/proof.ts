// The proof of the worst shipped program: evaluator against oracle, states a second, the reduction.
import { Bench } from 'tinybench';
import { Oracle } from '../tests/kit/oracle';
import { wished } from '../tests/kit/order-faults';
import { compileChain } from '../src/core/chain';
import { compileProgram } from '../src/core/chain/program';
import { findingsOf, prove, unreducedCount, verify } from '../src/core/verify';

/** Everything at once: panic with a hold, launch help, rates by mode, two delays and two latches. */
function worst() {
  const setup = wished({
    panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
    launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
    gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sc', offPositions: [2] },
    rates: {
      by: 'mode',
      off: { pct: 50, expoPct: 30 },
      on: { pct: 100, expoPct: 20 },
    },
    voice: { modes: true },
    timer: { minutes: 8 },
  });
  setup.program.logic.push({
    id: 'second-latch',
    label: 'Landing light',
    op: 'latch',
    set: { kind: 'switch', control: 'sd', position: 2 },
    reset: { kind: 'switch', control: 'sd', position: 0 },
  });
  return setup;
}

/** Prints ratios within one run: nothing here is an absolute time. */
export async function proofRatios(): Promise<void> {
  const setup = worst();
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const memory = chain.newMemory();
  const stimulus = chain.restStimulus();
  const oracle = new Oracle(setup);
  const program = compileProgram(setup, chain.layout);
  const ids = setup.transmitter.controls.map((c) => c.id);
  let tick = 0;
  const move = () => {
    tick += 1;
    stimulus.controls[0] = (tick * 7) % 100;
    stimulus.controls[7] = ((tick % 3) - 1) * 100;
    stimulus.controls[8] = (((tick >> 1) % 3) - 1) * 100;
    stimulus.dtS = 0.02;
  };
  const bench = new Bench({ time: 600 });
  bench
    .add('compiled', () => {
      for (let i = 0; i < 200; i++) {
        move();
        program(stimulus, memory, frame);
      }
    })
    .add('oracle', () => {
      for (let i = 0; i < 200; i++) {
        move();
        oracle.step(
          Object.fromEntries(ids.map((id, at) => [id, stimulus.controls[at]!])),
          stimulus.dtS,
        );
      }
    });
  await bench.run();
  const long = new Bench({ time: 0, iterations: 5, warmup: false });
  const steps = 20_000;
  const whole = chain.newMemory();
  let nth = 0;
  /** The same program on another pulse scale: nothing of it is known yet. */
  const fresh = () => {
    const other = structuredClone(setup);
    other.transmitter.pulse.centreUs += (nth += 1) * 1e-3;
    return other;
  };
  let known = fresh();
  prove(known);
  long
    .add('steps', () => {
      for (let i = 0; i < steps; i++) {
        move();
        chain.step(stimulus, whole, frame);
      }
    })
    .add('proof', () => void prove(fresh()))
    .add('proof again', () => {
      // An edit that no table reads: another servo speed.
      known = structuredClone(known);
      known.airframe.servos[0]!.secondsPer60Deg += 1e-4;
      prove(known);
    })
    .add('findings', () => void findingsOf(fresh()))
    .add('repairs', () => void verify(fresh()));
  await long.run();
  const latency = (name: string) => {
    const result = (bench.getTask(name) ?? long.getTask(name))!.result;
    return 'latency' in result ? result.latency.mean : NaN;
  };
  const step = latency('steps') / steps;
  const proof = prove(setup);
  console.log(
    `compiled program against the tree-walking oracle: ${(latency('oracle') / latency('compiled')).toFixed(0)} times as fast   (aim ≥ 20)`,
  );
  console.log(
    `proof: ${proof.visited} cells of the orders, knobs and sticks anywhere, ${unreducedCount(setup).toExponential(1)} combinations without partition and cones`,
  );
  console.log(
    `whole proof: ${(latency('proof') / step / 1000).toFixed(0)} thousand bare chain steps, ${(latency('proof') / step / proof.visited).toFixed(0)} a cell   (before: 165 thousand for modes, gain, motor and panic alone, knobs at ends and middle only)`,
  );
  console.log(
    `after an edit that reaches no cone: ${(latency('proof again') / latency('proof')).toFixed(2)} of the whole proof; rules on top: ${(latency('findings') / latency('proof')).toFixed(2)}; with repairs tried: ${(latency('repairs') / latency('proof')).toFixed(1)}`,
  );
}
