import { switchValue, type Chain } from '../../chain';
import type { Setup } from '../../setup';

/** A hair beyond a threshold, in percent: the smallest step worth telling apart. */
const HAIR_PCT = 1;

/**
 * Values of a control that are told apart: every position of a switch; ends and middle of a stick,
 * knob or slider, and both sides of every threshold some logic compares it with.
 */
export function valuesOf(setup: Setup, at: number): number[] {
  const control = setup.transmitter.controls[at]!;
  if (control.kind === 'switch-3') return [0, 1, 2].map((p) => switchValue(control.kind, p));
  if (control.kind === 'switch-2' || control.kind === 'momentary') return [-100, 100];
  const inputs = setup.program.inputs.filter((i) => i.control === control.id).map((i) => i.id);
  const thresholds = setup.program.logic.flatMap((l) => {
    if (l.op !== 'near' && l.op !== 'greater') return [];
    const direct = l.source.kind === 'control' && l.source.id === control.id;
    const shaped = l.source.kind === 'input' && inputs.includes(l.source.id);
    if (!direct && !shaped) return [];
    return l.op === 'near'
      ? [l.valuePct - l.withinPct - HAIR_PCT, l.valuePct, l.valuePct + l.withinPct + HAIR_PCT]
      : [l.valuePct, l.valuePct + HAIR_PCT];
  });
  return [...new Set([-100, 0, 100, ...thresholds])]
    .filter((v) => v >= -100 && v <= 100)
    .toSorted((a, b) => a - b);
}

/**
 * The same with values left out that give every comparison the same outcome as one before: for
 * controls that nothing but comparisons looks at.
 */
export function outcomesOf(chain: Chain, at: number): number[] {
  const { setup } = chain;
  const { id } = setup.transmitter.controls[at]!;
  const compared = setup.program.logic.flatMap((l, i) =>
    (l.op === 'near' || l.op === 'greater') && l.source.kind === 'control' && l.source.id === id
      ? [i]
      : [],
  );
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const outcome = (value: number) => {
    stimulus.controls[at] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return compared.map((i) => frame.logic[i]).join();
  };
  const seen = new Set<string>();
  // Rest and ends first, so that they stand for their kind.
  return valuesOf(setup, at)
    .toSorted((a, b) => Math.abs(Math.abs(b) - 50) - Math.abs(Math.abs(a) - 50))
    .filter((value) => {
      const key = outcome(value);
      return !seen.has(key) && seen.add(key);
    })
    .toSorted((a, b) => a - b);
}
