'use client';

import { useId, useRef, useState } from 'react';
import { rangeAt } from '@/core/setup';
import { useFieldDraft } from './useFieldDraft';

/** A number of the Setup has its range there; one of the page alone brings it along. */
type Bounds =
  { at: string; min?: never; max?: never } | { at?: undefined; min: number; max: number };

/**
 * A number with its unit: typed, stepped with the arrow keys (Shift for ten steps) or dragged
 * sideways by its label or its unit. Committed on Enter, on leaving, and at the end of a drag.
 */
export function NumberField({
  label,
  value,
  unit,
  step = 1,
  hideLabel = false,
  onCommit,
  ...bounds
}: {
  label: string;
  value: number;
  unit: string;
  step?: number;
  /** Under a table heading: the label shows on narrow screens only. */
  hideLabel?: boolean;
  /** @returns what is wrong with it, or nothing */
  onCommit: (value: number) => string | undefined;
} & Bounds) {
  const { min, max } = bounds.at === undefined ? bounds : rangeAt(bounds.at);
  const id = useId();
  const [text, setText] = useFieldDraft(id, label);
  const [problem, setProblem] = useState<string>();
  const drag = useRef<{ x: number; from: number } | undefined>(undefined);
  const tidy = (n: number) => Math.round(Math.min(max, Math.max(min, n)) / step) * step;
  const show = (n: number) => String(Math.round(n * 1000) / 1000);

  const commit = (raw: string) => {
    const number = Number(raw.replace(',', '.').replace('−', '-'));
    if (raw.trim() === '' || Number.isNaN(number)) return setProblem('Write a number.');
    if (number < min || number > max) return setProblem(`From ${min} to ${max} ${unit}.`);
    const refused = number === value ? undefined : onCommit(number);
    setProblem(refused);
    if (!refused) setText(undefined);
  };
  const stepBy = (by: number) => {
    const next = tidy(Number(text ?? value) + by);
    setText(show(next));
    setProblem(undefined);
  };

  const handle = {
    onPointerDown(e: React.PointerEvent) {
      drag.current = { x: e.clientX, from: value };
      e.currentTarget.setPointerCapture(e.pointerId);
    },
    onPointerMove(e: React.PointerEvent) {
      if (!drag.current) return;
      const steps = Math.round((e.clientX - drag.current.x) / 4);
      setText(show(tidy(drag.current.from + steps * step)));
    },
    onPointerUp() {
      drag.current = undefined;
      if (text !== undefined) commit(text);
    },
  };

  return (
    <div className="flex flex-col gap-0.5">
      <label
        htmlFor={id}
        className={`cursor-ew-resize touch-none text-sm font-semibold select-none ${
          hideLabel ? '@lg:sr-only' : ''
        }`}
        {...handle}
      >
        {label}
        <span className="sr-only">, {unit}</span>
      </label>
      <span className="field flex items-center gap-1 focus-within:outline-3 focus-within:outline-[var(--focus)]">
        <input
          id={id}
          className="num w-full min-w-10 bg-transparent outline-none"
          inputMode="decimal"
          value={text ?? show(value)}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => text !== undefined && commit(text)}
          onKeyDown={(e) => {
            const size = step * (e.shiftKey ? 10 : 1);
            if (e.key === 'Enter' && text !== undefined) commit(text);
            else if (e.key === 'Escape') {
              setText(undefined);
              setProblem(undefined);
            } else if (e.key === 'ArrowUp') stepBy(size);
            else if (e.key === 'ArrowDown') stepBy(-size);
            else return;
            e.preventDefault();
          }}
        />
        <span
          className="text-soft font-num cursor-ew-resize touch-none text-sm whitespace-nowrap select-none"
          aria-hidden
          {...handle}
        >
          {unit}
        </span>
      </span>
      {problem && (
        <span id={`${id}-problem`} role="alert" className="text-stop text-sm">
          {problem}
        </span>
      )}
    </div>
  );
}
