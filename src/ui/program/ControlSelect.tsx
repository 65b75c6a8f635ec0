import { usesOf, type ControlKind, type Setup } from '@/core/setup';
import { Select } from '../parts/Select';

export const SWITCHES: readonly ControlKind[] = ['switch-2', 'switch-3'];
export const PRESSABLE: readonly ControlKind[] = ['momentary', 'switch-2', 'switch-3'];
export const TURNABLE: readonly ControlKind[] = ['knob', 'slider'];

/** What else a control does already, so that nobody gives it twice unawares. */
function usedFor(setup: Setup, id: string): string {
  const purposes = new Set(
    (usesOf(setup).get(id) ?? [])
      .map((use) => use.purpose)
      .filter((p) => p !== undefined && p !== 'stick' && p !== 'other'),
  );
  return purposes.size > 0 ? ` (${[...purposes].join(', ')})` : '';
}

/** Chooses a control of certain kinds. */
export function ControlSelect({
  label,
  setup,
  kinds,
  value,
  none,
  onChange,
}: {
  label: string;
  setup: Setup;
  kinds: readonly ControlKind[];
  value: string | undefined;
  /** Words for "no control"; without them one must be chosen. */
  none?: string;
  onChange: (id: string) => void;
}) {
  const list = setup.transmitter.controls.filter((c) => kinds.includes(c.kind));
  return (
    <label className="text-sm font-semibold">
      {label}
      <Select value={value ?? ''} onChange={(e) => onChange(e.target.value)}>
        {(none !== undefined || !list.some((c) => c.id === value)) && (
          <option value="">{none ?? 'choose …'}</option>
        )}
        {list.map((c) => (
          <option key={c.id} value={c.id}>
            {c.label}
            {c.kind === 'switch-2' ? ', two positions' : c.kind === 'switch-3' ? ', three' : ''}
            {c.id === value ? '' : usedFor(setup, c.id)}
          </option>
        ))}
      </Select>
    </label>
  );
}
