import { compileChain, movementOf } from '../chain';
import { poseFor } from '../directions';
import type { Setup } from '../setup';

/**
 * What every surface does with the model held right wing down, in words, asked of the chain: in
 * self-levelling, or with the link lost.
 */
export function mayAnswer(setup: Setup, when: 'level' | 'lost', tipDeg: number): string[] {
  const chain = compileChain(setup);
  const pose = poseFor(chain, ['level', 'rate']);
  const frame = chain.newFrame();
  const read = (rollDeg: number) => {
    const stimulus = chain.restStimulus();
    if (pose) stimulus.controls.set(pose.controls);
    const memory = chain.newMemory();
    memory.armed = true;
    chain.step(stimulus, memory, frame);
    stimulus.rollDeg = rollDeg;
    stimulus.linkUp = when === 'level';
    chain.step(stimulus, memory, frame);
    return frame.surfaceDeg.slice();
  };
  const level = read(0);
  const tipped = read(tipDeg);
  return setup.airframe.surfaces.flatMap((surface, i) => {
    const movement = movementOf(surface, tipped[i]! - level[i]!);
    return movement === 'centre'
      ? []
      : [`${surface.label.toLowerCase()} goes ${movement} and stays there`];
  });
}
