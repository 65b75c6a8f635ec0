import { allReads, type Read, type Setup } from '../../setup';

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
 * Follows what channels are made of, back to the controls. Trims are left out: they shift values by little and are looked at by the margin rule.
 * @param channels 1-based
 */
export function coneOf(setup: Setup, channels: readonly number[]): Cone {
  const { program, transmitter } = setup;
  const direct = new Set<string>();
  const compared = new Set<string>();
  const logic = new Set<string>();
  const from = channels.map((channel): Read => ({ kind: 'channel', channel, path: [] }));
  for (const read of allReads(program, from)) {
    if (read.kind === 'control' && !read.trim) (read.compared ? compared : direct).add(read.id);
    if (read.kind === 'logic') logic.add(read.id);
  }
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
