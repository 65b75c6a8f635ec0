import type { ScriptStep } from '@/core/script';
import type { Setup } from '@/core/setup';
import { createBench } from '@/core/standin';

/** What the virtual bench shows five seconds after it was put as a step says. */
export function settled(setup: Setup, { state }: Pick<ScriptStep, 'state'>) {
  const bench = createBench(setup);
  bench.put(state!);
  let shown = bench.advance(0);
  for (let i = 0; i < 150; i++) shown = bench.advance(0.033);
  return shown;
}
