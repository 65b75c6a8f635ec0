import type { Condition, Setup, Source } from '../../setup';

/** Everything that can affect a set of channels: the rest need not be multiplied. */
export interface Cone {
  /** Positions in the transmitter's control list. */
  controls: number[];
  /** Those among them that are only compared with thresholds: their values matter by the outcome. */
  compared: number[];
  /** Positions in the program's logic list. */
  logic: number[];
}

/**
 * Follows what channels are made of, back to the controls: lines, inputs with their rates, logic,
 * variables. Trims are left out: they shift values by little and are looked at by the margin rule.
 * @param channels 1-based
 */
export function coneOf(setup: Setup, channels: readonly number[]): Cone {
  const { program, transmitter } = setup;
  const direct = new Set<string>();
  const compared = new Set<string>();
  const logic = new Set<string>();
  const seen = new Set<number>();
  const fromCondition = (c: Condition): void => {
    if (c.kind === 'switch') direct.add(c.control);
    else if (c.kind === 'logic') fromLogic(c.id);
    else if (c.kind === 'not') fromCondition(c.of);
    else c.of.forEach(fromCondition);
  };
  const fromLogic = (id: string): void => {
    if (logic.has(id)) return;
    logic.add(id);
    const entry = program.logic.find((l) => l.id === id)!;
    if (entry.op === 'near' || entry.op === 'greater') {
      if (entry.source.kind === 'control') compared.add(entry.source.id);
      else fromSource(entry.source);
    } else if (entry.op === 'when') fromCondition(entry.when);
    else if (entry.op === 'latch') [entry.set, entry.reset].forEach(fromCondition);
    else fromCondition(entry.of);
  };
  const fromSource = (s: Source): void => {
    if (s.kind === 'control') direct.add(s.id);
    if (s.kind === 'channel') fromChannel(s.channel);
    if (s.kind === 'input') {
      const input = program.inputs.find((i) => i.id === s.id)!;
      direct.add(input.control);
      for (const rate of input.rates) if (rate.when) fromCondition(rate.when);
    }
  };
  const fromChannel = (channel: number): void => {
    if (seen.has(channel)) return;
    seen.add(channel);
    for (const line of program.lines) {
      if (line.channel !== channel) continue;
      fromSource(line.source);
      if (line.when) fromCondition(line.when);
    }
  };
  channels.forEach(fromChannel);
  const positions = (wanted: (id: string) => boolean) =>
    transmitter.controls.flatMap((c, i) => (wanted(c.id) && c.kind !== 'trim' ? [i] : []));
  return {
    controls: positions((id) => direct.has(id) || compared.has(id)),
    compared: positions((id) => compared.has(id) && !direct.has(id)),
    logic: program.logic.flatMap((l, i) => (logic.has(l.id) ? [i] : [])),
  };
}

/** The cone of several taken together. */
export const joined = (...cones: readonly Cone[]): Cone => ({
  controls: [...new Set(cones.flatMap((c) => c.controls))].toSorted((a, b) => a - b),
  compared: [...new Set(cones.flatMap((c) => c.compared))]
    .filter((at) => cones.every((c) => !c.controls.includes(at) || c.compared.includes(at)))
    .toSorted((a, b) => a - b),
  logic: [...new Set(cones.flatMap((c) => c.logic))].toSorted((a, b) => a - b),
});
