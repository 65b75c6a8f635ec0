'use client';

import { useRef } from 'react';
import { useNumber, type Bounds, type NumberProps } from './useNumber';

/**
 * A number with its unit: typed, stepped with the arrow keys (Shift for ten steps) or dragged
 * sideways by its label or its unit. Committed on Enter, on leaving, and at the end of a drag.
 */
export function NumberField({
  hideLabel = false,
  ...props
}: NumberProps & {
  /** Under a table heading: the label shows on narrow screens only. */
  hideLabel?: boolean;
} & Bounds) {
  const { label, value, step = 1 } = props;
  const { id, text, problem, unit, commit, put, input } = useNumber(props);
  const drag = useRef<{ x: number; from: number } | undefined>(undefined);
  const handle = {
    onPointerDown(e: React.PointerEvent) {
      drag.current = { x: e.clientX, from: value };
      e.currentTarget.setPointerCapture(e.pointerId);
    },
    onPointerMove(e: React.PointerEvent) {
      if (!drag.current) return;
      put(drag.current.from + Math.round((e.clientX - drag.current.x) / 4) * step);
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
        <input className="num w-full min-w-10 bg-transparent outline-none" {...input} />
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
