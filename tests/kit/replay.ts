import { compileChain, positionsOf, switchValue } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { randomOf } from './random-program';

/**
 * What a model does in a long walk of hands, tilts, link losses and time, as numbers that can be kept
 * and compared: every value the world can see, to a tenth of a microsecond, degree or percent.
 * @returns one line for each moment
 */
export function replay(setup: Setup, seed: number, moments: number): string[] {
  const random = randomOf(seed);
  const chain = compileChain(setup);
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const { controls } = setup.transmitter;
  const between = (low: number, high: number) => low + (high - low) * random();
  const tenths = (values: ArrayLike<number>) =>
    Array.from(values, (v) => (Number.isNaN(v) ? 'x' : String(Math.round(v * 10) || 0))).join(' ');
  return Array.from({ length: moments }, () => {
    for (let n = 0; n < 2; n++) {
      const at = Math.floor(random() * controls.length);
      const { kind } = controls[at]!;
      const turns = kind === 'stick' || kind === 'trim' || kind === 'knob' || kind === 'slider';
      stimulus.controls[at] = turns
        ? Math.round(between(-100, 100))
        : switchValue(kind, Math.floor(random() * positionsOf(kind)));
    }
    stimulus.linkUp = random() > 0.1;
    stimulus.positionFix = random() > 0.2;
    stimulus.rollDeg = between(-60, 60);
    stimulus.pitchDeg = between(-40, 40);
    stimulus.rollRateDegPerS = between(-90, 90);
    stimulus.pitchRateDegPerS = between(-90, 90);
    stimulus.yawRateDegPerS = between(-90, 90);
    stimulus.dtS = [0, 0.02, 0.1, 0.35, 1.1][Math.floor(random() * 5)]!;
    chain.step(stimulus, memory, frame);
    return [
      frame.mode,
      tenths(frame.sentUs),
      tenths(frame.gainPct),
      tenths(frame.surfaceDeg),
      tenths(frame.motorPct),
    ].join(' | ');
  });
}
