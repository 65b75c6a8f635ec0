import { axisFunction, compileChain, stickOf } from '../chain';
import type { PatchOperation } from '../patch';
import { pointer, type Setup } from '../setup';

/** One aileron on an output of its own, with the side of its channel that moves it down. */
interface Half {
  /** Position in the program's list of outputs. */
  output: number;
  down: 'minPct' | 'maxPct';
  up: 'minPct' | 'maxPct';
}

/**
 * The two ailerons that can be given differential: each on a channel of its own. Which end of a
 * channel moves its aileron down is asked of the chain, so that reversals and rods are seen through.
 * @returns undefined where one channel works both, and only the linkage could do it
 */
function halves(setup: Setup): [Half, Half] | undefined {
  const chain = compileChain(setup);
  const stick = stickOf(setup.transmitter, axisFunction(setup, 'roll'));
  if (stick < 0) return undefined;
  const frame = chain.newFrame();
  const at = (value: number) => {
    const stimulus = chain.restStimulus();
    stimulus.controls[stick] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return { sent: frame.sentUs.slice(), deg: frame.surfaceDeg.slice() };
  };
  const right = at(100);
  const left = at(-100);
  const found = (['aileron', 'aileron2'] as const).flatMap((carries): Half[] => {
    const output = setup.program.outputs.findIndex((o) => o.carries === carries);
    const servo = setup.airframe.servos.find((s) => s.carries === carries);
    const driven = setup.airframe.surfaces.flatMap((s, i) => (s.servo === servo?.id ? [i] : []));
    if (output < 0 || driven.length !== 1) return [];
    const channel = setup.program.outputs[output]!.channel - 1;
    const surface = driven[0]!;
    const longerIsRight = right.sent[channel]! > left.sent[channel]!;
    const rightIsDown = right.deg[surface]! > left.deg[surface]!;
    const down = longerIsRight === rightIsDown ? 'maxPct' : 'minPct';
    return [{ output, down, up: down === 'maxPct' ? 'minPct' : 'maxPct' }];
  });
  const shared = setup.airframe.servos.filter((s) => s.carries === 'aileron').length > 1;
  return found.length === 2 && !shared ? [found[0]!, found[1]!] : undefined;
}

/**
 * How much less an aileron goes down than up, in percent of the way up, from the endpoints as they
 * stand; undefined where the transmitter cannot do it.
 */
export function differentialOf(setup: Setup): number | undefined {
  const pair = halves(setup);
  if (!pair) return undefined;
  const shares = pair.map(({ output, down, up }) => {
    const o = setup.program.outputs[output]!;
    return o[up] === 0 ? 0 : 1 - Math.abs(o[down] / o[up]);
  });
  return Math.round(((shares[0]! + shares[1]!) / 2) * 100);
}

/**
 * Endpoints that give both ailerons this differential, the way up left as it is.
 * @param pct −50…90; negative gives more down than up
 */
export function setDifferential(setup: Setup, pct: number): PatchOperation[] {
  return (halves(setup) ?? []).map(({ output, down, up }) => {
    const o = setup.program.outputs[output]!;
    const size = Math.min(150, Math.round(Math.abs(o[up]) * (1 - pct / 100)));
    return {
      op: 'replace',
      path: pointer('program', 'outputs', output, down),
      value: down === 'minPct' ? -size : size,
    };
  });
}
