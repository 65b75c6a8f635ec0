import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TRANSMITTERS } from '../../catalogue';
import { makeSetup } from '../../../../tests/kit/setups';
import { compileChain, stickOf } from '../../chain';
import { verify } from '../../verify';
import type { Setup } from '../../setup';
import { choose } from './index';

const braking = (brakePct: number): Setup => {
  const made = choose(makeSetup('boat', 'steering-menu', 'surface-six'), {
    wish: 'reverse',
    value: { brakePct },
  });
  if (!made.ok) throw new Error(made.reasons.join());
  // The cut is on as the model is laid down: a motor that stands still proves nothing.
  return {
    ...made.setup,
    program: {
      ...made.setup.program,
      lines: made.setup.program.lines.filter((l) => l.purpose !== 'throttle-cut'),
    },
  };
};

/** What the motor's channel carries after each place of the trigger, on one chain with its memory. */
function motorOver(setup: Setup, trigger: readonly number[]): number[] {
  const chain = compileChain(setup);
  const at = stickOf(setup.transmitter, 'throttle');
  const { channel } = setup.program.outputs.find((o) => o.carries === 'throttle')!;
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  return trigger.map((value) => {
    stimulus.controls[at] = value;
    // A hand stays where it is for a few frames.
    for (let i = 0; i < 3; i++) chain.step(stimulus, memory, frame);
    return Math.round(frame.channelsPct[channel - 1]!) + 0;
  });
}

/** The same in plain words: braked once and let go, until pulled again. */
function expected(trigger: readonly number[], brakePct: number): number[] {
  let braked = false;
  let free = false;
  return trigger.map((v) => {
    if (v > 5) [braked, free] = [false, false];
    else if (v < -5) braked = true;
    else if (braked) free = true;
    return Math.round(v < -5 && !free ? (v * brakePct) / 100 : v) + 0;
  });
}

describe('brake before reverse', () => {
  it('brakes at the first push, reverses at the second, and brakes again after a pull', () => {
    const hands = [0, 60, -80, -30, 0, -80, 0, -50, 40, -60, 60, -60];
    expect(motorOver(braking(0), hands)).toEqual([0, 60, 0, 0, 0, -80, 0, -50, 40, 0, 60, 0]);
    expect(motorOver(braking(50), hands).slice(1, 6)).toEqual([60, -40, -15, 0, -80]);
  });
  it('does the same as its rule said plainly, over any play of the trigger', () => {
    const setups = new Map([0, 30, 100].map((pct) => [pct, braking(pct)]));
    fc.assert(
      fc.property(
        fc.constantFrom(0, 30, 100),
        fc.array(fc.constantFrom(-100, -60, -20, 0, 4, -4, 20, 60, 100), { maxLength: 30 }),
        (pct, hands) => {
          const got = motorOver(setups.get(pct)!, hands);
          const want = expected(hands, pct);
          for (const [i, v] of got.entries()) expect(Math.abs(v - want[i]!)).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 200 },
    );
  });
  it('is refused where the throttle does not come back to a neutral', () => {
    const setup = makeSetup('boat', 'steering-menu', 'surface-six');
    setup.transmitter = structuredClone(TRANSMITTERS['surface-six']!);
    setup.transmitter.controls.find((c) => c.hand === 'throttle')!.rest = -100;
    const refused = choose(setup, { wish: 'reverse', value: { brakePct: 0 } });
    expect(!refused.ok && refused.reasons.join()).toMatch(/does not return to a neutral/);
  });
  it('raises nothing that the same model without it does not', () => {
    const plain = makeSetup('boat', 'steering-menu', 'surface-six');
    const made = choose(plain, { wish: 'reverse', value: { brakePct: 0 } });
    const said = (setup: Setup) => verify(setup).map((f) => f.rule);
    expect(made.ok && said(made.setup)).toEqual(said(plain));
  });
});
