'use client';

import { RadioGroup } from 'radix-ui';

/** Two or more words side by side, one of them true. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
}) {
  return (
    <div className="min-w-0">
      {!hideLabel && (
        <p className="mb-0.5 text-sm font-semibold" aria-hidden>
          {label}
        </p>
      )}
      <RadioGroup.Root
        aria-label={label}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className="flex flex-wrap gap-1"
      >
        {options.map(([id, words]) => (
          <RadioGroup.Item
            key={id}
            value={id}
            className="btn data-[state=checked]:bg-ink data-[state=checked]:text-card data-[state=checked]:border-ink"
          >
            {words}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
