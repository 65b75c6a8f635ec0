'use client';

import { Check } from 'lucide-react';
import { Select } from 'radix-ui';
import { useState } from 'react';

export interface Option<T extends string> {
  value: T;
  words: string;
  /** A line that explains it. */
  more?: string | undefined;
  /** Why it cannot be chosen. */
  refused?: string | undefined;
}

/** A word in the middle of a sentence that opens the list of what could stand there. */
export function PickWord<T extends string>({
  label,
  value,
  options,
  none = 'choose …',
  onPick,
}: {
  /** What is chosen, for those who hear it. */
  label: string;
  value: T | undefined;
  options: readonly Option<T>[];
  /** Stands there while nothing is chosen. */
  none?: string;
  onPick: (value: T) => void;
}) {
  const now = options.find((o) => o.value === value);
  const [open, setOpen] = useState(false);
  return (
    <Select.Root
      open={open}
      onOpenChange={setOpen}
      value={value ?? ''}
      onValueChange={(v) => v !== '' && onPick(v as T)}
    >
      <Select.Trigger aria-label={label} className="word text-left">
        <Select.Value placeholder={none}>{now?.words}</Select.Value>
      </Select.Trigger>
      {open && <Words options={options} />}
    </Select.Root>
  );
}

/** What could stand there. A page has many such words: their lists are drawn only while they are open. */
function Words<T extends string>({ options }: { options: readonly Option<T>[] }) {
  return (
    <Select.Portal>
      <Select.Content
        position="popper"
        sideOffset={4}
        collisionPadding={8}
        className="card z-50 max-h-(--radix-select-content-available-height) max-w-[min(26rem,94vw)] min-w-48 overflow-y-auto p-1 shadow-lg"
      >
        <Select.Viewport>
          {options.map((o) => (
            <Select.Item
              key={o.value}
              value={o.value}
              disabled={o.refused !== undefined}
              className="flex min-h-10 cursor-pointer items-start gap-2 rounded px-2 py-1.5 outline-none data-[disabled]:cursor-default data-[highlighted]:bg-(--shade) pointer-coarse:min-h-11"
            >
              <span className="w-4 shrink-0 pt-1">
                <Select.ItemIndicator>
                  <Check size={16} aria-hidden />
                </Select.ItemIndicator>
              </span>
              <span>
                <span className={o.refused === undefined ? 'font-semibold' : 'text-soft'}>
                  <Select.ItemText>{o.words}</Select.ItemText>
                </span>
                {(o.refused ?? o.more) && (
                  <span className="text-soft block text-sm">{o.refused ?? o.more}</span>
                )}
              </span>
            </Select.Item>
          ))}
        </Select.Viewport>
      </Select.Content>
    </Select.Portal>
  );
}
