import { describe, expect, it } from 'vitest';
import { levelCaptureOf } from '@/core/capture';
import { choose } from '@/core/plan';
import { settingRows } from '@/core/settings';
import type { Setup } from '@/core/setup';
import { prove, verify } from '@/core/verify';
import { smallSwitches } from './02-small-switches';
import { inline } from './11-inline';
import { lockedGain } from './12-locked-gain';
import { captureChannel } from './21-capture-channel';
import { Model } from './kit';

/** A shape with one more choice, proved: nothing stops it. */
function withChoice(setup: Setup, choice: Parameters<typeof choose>[1]): Model {
  const made = choose(setup, choice);
  if (!made.ok) throw new Error(made.reasons.join(' '));
  expect(prove(made.setup).complete).toBe(true);
  expect(verify(made.setup).filter((f) => f.severity === 'stop')).toEqual([]);
  return new Model(made.setup);
}

const how = (setup: Setup, row: string) => settingRows(setup).find((r) => r.id === row)?.how;

describe('what people do with a shape later on', () => {
  it('a gain that was found by flap position goes on a three-position switch: off, fast, slow', () => {
    const model = withChoice(lockedGain.make(), {
      wish: 'gain',
      value: { by: 'values', control: 'sc', pct: [0, 36, 52] },
    });
    for (const [sc, pct] of [
      [-100, 0],
      [0, 36],
      [100, 52],
    ] as const)
      expect(Math.abs(model.fresh().hands({ sc, 'stick-throttle': 20 }).gain() - pct)).toBeLessThan(
        1.5,
      );
  });
  it('a receiver that knows capture by a channel gets a momentary for recovery as well', () => {
    const model = withChoice(captureChannel.make(), {
      wish: 'panic',
      value: { way: 'replace', control: 'sh', holdS: 0.3, gainPct: 60 },
    });
    for (const sa of [-100, 0, 100]) {
      const before = model.fresh().hands({ sa, sh: -100 }).mode;
      expect(model.hands({ sh: 100 }, 0.5).mode).toBe('level');
      expect(model.hands({ sh: -100 }, 0.5).mode).toBe(before);
    }
  });
  it('each axis has its own small switch, and only what is reversed is moved', () => {
    const setup = smallSwitches.make();
    for (const axis of ['roll', 'pitch', 'yaw'] as const)
      expect(how(setup, `direction ${axis}`), axis).toBe(`with the small switch for ${axis}`);
  });
  it('neutral and level are captured by flicking the mode switch', () => {
    expect(levelCaptureOf(inline.make()).words).toMatch(/flick the mode switch from end to end/);
  });
});
