'use client';

import { Slider as Bar } from 'radix-ui';

/** A hand on a bar, from one end to the other, in percent: pulled, pressed, or moved by keys. */
export function Slider({
  label,
  words,
  value,
  step = 1,
  centred = false,
  onChange,
  className = '',
}: {
  label: string;
  /** What the value means, said instead of the number. */
  words?: string;
  /** −100 … 100 */
  value: number;
  step?: number;
  /** It is at home in the middle, which is marked. */
  centred?: boolean;
  onChange: (value: number) => void;
  className?: string;
}) {
  return (
    <Bar.Root
      min={-100}
      max={100}
      step={step}
      value={[Math.round(value)]}
      onValueChange={([next]) => next !== undefined && onChange(next)}
      className={`relative flex touch-none items-center ${className}`}
    >
      <Bar.Track className="relative h-1.5 grow rounded-full border border-(--line) bg-(--card)">
        {centred ? (
          <span className="absolute -inset-y-1.5 left-1/2 border-l-2 border-(--line)" />
        ) : (
          <Bar.Range className="absolute h-full rounded-full bg-(--accent)" />
        )}
      </Bar.Track>
      <Bar.Thumb
        aria-label={label}
        {...(words === undefined ? {} : { 'aria-valuetext': words })}
        className="bg-accent block size-5 rounded-full border-2 border-(--card) outline-offset-1"
      />
    </Bar.Root>
  );
}
