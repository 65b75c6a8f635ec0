import type { Setup } from '../setup';
import { compileCondition } from './conditions';
import type { Frame, Layout, Stimulus } from './frame';

/** Share of full stick that a trim lever at its end adds. Common practice, no source. */
export const TRIM_SHARE = 0.25;

/**
 * Expo: y = (1 − e)·x + e·x³, softer round centre for e > 0. Common practice, no source.
 * @param stickPct −100…+100 @param expoPct −100…+100 @returns −100…+100
 */
export function expo(stickPct: number, expoPct: number): number {
  const x = stickPct / 100;
  const e = expoPct / 100;
  return 100 * ((1 - e) * x + e * x * x * x);
}

export type Step = (stimulus: Stimulus, frame: Frame) => void;

/** First link: sticks with trim, rates and expo. One step for each input. */
export function compileInput(setup: Setup, layout: Layout, position: number): Step {
  const input = setup.program.inputs[position]!;
  const control = layout.controls.get(input.control)!;
  const trim = input.trim === undefined ? -1 : layout.controls.get(input.trim)!;
  const rates = input.rates.map((rate) => ({
    when: rate.when ? compileCondition(rate.when, layout, setup) : undefined,
    weight: rate.weightPct / 100,
    expoPct: rate.expoPct,
  }));
  const only = rates.length === 1 ? rates[0]! : undefined;
  return (stimulus, frame) => {
    const rate = only ?? rates.find((r) => r.when === undefined || r.when(stimulus, frame))!;
    const shaped = rate.weight * expo(stimulus.controls[control]!, rate.expoPct);
    frame.inputsPct[position] = trim < 0 ? shaped : shaped + TRIM_SHARE * stimulus.controls[trim]!;
  };
}
