// The channel planner against a brute-force search for the same answer, in one run.
import { Bench } from 'tinybench';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../src/core/catalogue';
import { planChannels, type PlanRequest } from '../src/core/plan';
import { bruteForce } from '../tests/kit/brute-force';

/** The tightest shipped case with the most functions: six channels and one for a switch. */
const request: PlanRequest = {
  airframe: buildAirframe({
    ...usualAnswers('conventional'),
    ailerons: 'two-outputs',
    flaps: true,
    gear: true,
  }),
  unit: UNITS['menu-receiver']!,
  transmitter: TRANSMITTERS['switch-value-six']!,
  wishes: ['mode', 'gain', 'recovery'],
  pins: [],
};

/** Prints how many times faster the planner is; both must first agree on what the best costs. */
export async function plannerRatio(): Promise<void> {
  const plan = planChannels(request);
  const cost = plan.taken.reduce((sum, way) => sum + way.weight, 0);
  const brute = bruteForce(request);
  if (brute.cost !== cost) throw new Error(`planner ${cost}, brute force ${brute.cost}`);
  const bench = new Bench({ time: 400 });
  bench
    .add('planner', () => void planChannels(request))
    .add('brute force', () => void bruteForce(request));
  await bench.run();
  const time = (name: string) => {
    const result = bench.getTask(name)!.result;
    return 'latency' in result ? result.latency.mean : NaN;
  };
  console.log(
    `planner time / brute force time: ${(time('planner') / time('brute force')).toExponential(1)}   (${brute.tried} assignments tried, same cost ${cost})`,
  );
}
