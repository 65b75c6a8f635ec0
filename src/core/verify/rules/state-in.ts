import type { Mode, Setup } from '../../setup';
import type { Witness } from '../finding';
import type { Proof } from '../proof';

/**
 * A state in which a mode is flown with some gain, as the witness of a mistake that is not about one state: the one
 * nearest to rest. Nothing where no switch alone brings the mode.
 */
export function stateIn(
  setup: Setup,
  { rows, controls }: Proof,
  mode: Mode,
  words: string,
): { witness?: Witness } {
  const rest = controls.map((id) => setup.transmitter.controls.find((c) => c.id === id)?.rest);
  const moved = (values: readonly number[]) => values.filter((v, i) => v !== rest[i]).length;
  const [nearest] = rows
    .filter((r) => r.mode === mode && r.gainPct.some((g) => g > 0) && r.remembered.length === 0)
    .toSorted((a, b) => moved(a.values) - moved(b.values));
  if (!nearest) return {};
  const put = controls.map((id, i) => [id, nearest.values[i]!] as const);
  return { witness: { controls: Object.fromEntries(put), words } };
}
