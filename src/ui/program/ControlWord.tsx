'use client';

import { tagsOf } from '@/core/controls';
import type { ControlKind, Setup } from '@/core/setup';
import { PickWord, type Option } from '../parts/PickWord';

const KIND_WORDS: Partial<Record<ControlKind, string>> = {
  'switch-2': 'two positions',
  'switch-3': 'three positions',
  momentary: 'acts while held',
};

export const NO_CONTROL = 'none';

/** Controls of certain kinds as they are chosen from, with what each does already. */
export const controlOptions = (
  setup: Setup,
  kinds: readonly ControlKind[],
  also: readonly string[] = [],
): Option<string>[] =>
  setup.transmitter.controls
    .filter((c) => kinds.includes(c.kind) || also.includes(c.id))
    .map((control) => {
      const tag = tagsOf(setup).find((t) => t.control === control);
      const does = tag && tag.purposes.length > 0 ? `now: ${tag.purposes.join(', ')}` : undefined;
      const more = [KIND_WORDS[control.kind], does].filter(Boolean).join(' · ');
      return { value: control.id, words: control.label, ...(more ? { more } : {}) };
    });

/** The name of a control in a sentence; another is chosen there. */
export function ControlWord({
  label,
  setup,
  kinds,
  also,
  value,
  none,
  onPick,
}: {
  label: string;
  setup: Setup;
  kinds: readonly ControlKind[];
  /** Single controls that may be chosen as well. */
  also?: readonly string[];
  value: string | undefined;
  /** Words for no control at all; without them one must be chosen. */
  none?: string;
  onPick: (id: string | undefined) => void;
}) {
  const options = controlOptions(setup, kinds, also);
  return (
    <PickWord
      label={label}
      value={value ?? (none === undefined ? undefined : NO_CONTROL)}
      none="a control"
      options={none === undefined ? options : [{ value: NO_CONTROL, words: none }, ...options]}
      onPick={(id) => onPick(id === NO_CONTROL ? undefined : id)}
    />
  );
}
