import { switchValue } from '../../chain';
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
export function outcomesOf(setup: Setup, at: number): number[] {
  const { id } = setup.transmitter.controls[at]!;
  const outcome = (value: number) =>
    setup.program.logic
      .map((l) => {
        if ((l.op !== 'near' && l.op !== 'greater') || l.source.kind !== 'control') return '';
        if (l.source.id !== id) return '';
        const holds =
          l.op === 'near' ? Math.abs(value - l.valuePct) <= l.withinPct : value > l.valuePct;
        return holds ? '1' : '0';
      })
      .join('');
  const seen = new Set<string>();
  // Rest and ends first, so that they stand for their kind.
  return valuesOf(setup, at)
    .toSorted((a, b) => Math.abs(Math.abs(b) - 50) - Math.abs(Math.abs(a) - 50))
    .filter((value) => !seen.has(outcome(value)) && seen.add(outcome(value)))
    .toSorted((a, b) => a - b);
}
