import type { Setup } from '../setup';
import { compileCondition, type Test } from './conditions';
import type { Frame, Layout, Stimulus } from './frame';

/** Share of full stick that a trim lever at its end adds. Common practice, no source. */
export const TRIM_SHARE = 0.25;

/**
 * Expo: y = (1 − e)·x + e·x³, softer round centre for e > 0. Common practice, no source.
 * @param stickPct −100…+100 @param expoPct −100…+100 @returns −100…+100
 */
export const expo = (stickPct: number, expoPct: number): number => curve(stickPct, expoPct / 100);

/** @param e expo as a share, −1…+1 */
function curve(stickPct: number, e: number): number {
  const x = stickPct / 100;
  return 100 * ((1 - e) * x + e * x * x * x);
}

export interface CompiledInput {
  at: number;
  control: number;
  /** −1: no trim. */
  trim: number;
  rates: readonly { when: Test | undefined; weight: number; expo: number }[];
}

/** First link: sticks with trim, rates and expo. */
export function compileInput(setup: Setup, layout: Layout, position: number): CompiledInput {
  const input = setup.program.inputs[position]!;
  return {
    at: position,
    control: layout.controls.get(input.control)!,
    trim: input.trim === undefined ? -1 : layout.controls.get(input.trim)!,
    rates: input.rates.map((rate) => ({
      when: rate.when ? compileCondition(rate.when, layout, setup) : undefined,
      weight: rate.sharePct / 100,
      expo: rate.expoPct / 100,
    })),
  };
}

export function runInput(input: CompiledInput, stimulus: Stimulus, frame: Frame): void {
  const { rates, trim } = input;
  let rate = rates[0]!;
  for (let i = 0; rate.when !== undefined && !rate.when(stimulus, frame);) rate = rates[++i]!;
  const { controls } = stimulus;
  const shaped = rate.weight * curve(controls[input.control]!, rate.expo);
  frame.inputsPct[input.at] = trim < 0 ? shaped : shaped + TRIM_SHARE * controls[trim]!;
}
