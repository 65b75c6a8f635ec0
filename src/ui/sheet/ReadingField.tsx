'use client';

import { useId, useState } from 'react';
import { MOST_SHOWN_PCT, percentOf } from '@/core/asking';
import { printed } from '@/core/setup';
import { useFieldDraft } from '../fields/useFieldDraft';

/**
 * What the monitor shows, typed as it stands there: "-96", "−96 %", "+12". Empty takes it back. A
 * phone's number keys have no minus: the button beside gives it.
 */
export function ReadingField({
  label,
  value,
  wrong,
  onCommit,
}: {
  label: string;
  value: number | undefined;
  /** What stands there is not what must. */
  wrong: boolean;
  onCommit: (value: number | undefined) => void;
}) {
  const [text, setText, mark] = useFieldDraft(useId(), label, value);
  const [problem, setProblem] = useState(false);
  const shown = text ?? (value === undefined ? '' : printed(value));
  const commit = (now = text) => {
    if (now === undefined) return;
    const next = percentOf(now);
    if (next === 'wrong') {
      setProblem(true);
      return;
    }
    setProblem(false);
    setText(undefined);
    if (next !== value) onCommit(next);
  };
  return (
    <span>
      <span
        className={`field flex min-h-9 w-28 items-center gap-1 px-1 focus-within:outline-3 focus-within:outline-[var(--focus)] pointer-coarse:min-h-11 ${wrong ? 'border-stop' : ''}`}
      >
        <button
          type="button"
          tabIndex={-1}
          className="font-num min-h-8 min-w-7 rounded hover:bg-(--shade) pointer-coarse:min-h-11 pointer-coarse:min-w-11"
          aria-label={`${label}: change the sign`}
          onPointerDown={(e) => e.preventDefault()}
          onClick={() =>
            setText(/^[-−]/.test(shown) ? shown.slice(1) : `−${shown.replace('+', '')}`)
          }
        >
          ±
        </button>
        <input
          {...mark}
          aria-label={`${label}: shows`}
          aria-invalid={problem || wrong}
          data-reading
          className="num w-full min-w-8 bg-transparent outline-none"
          inputMode="decimal"
          enterKeyHint="next"
          value={shown}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => commit()}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              e.preventDefault();
              commit();
              next(e.currentTarget)?.focus();
            }
            if (e.key === 'Escape') setText(undefined);
          }}
        />
        <span className="text-soft font-num text-sm" aria-hidden>
          %
        </span>
      </span>
      {problem && (
        <span role="alert" className="text-stop block text-xs">
          A number to ±{MOST_SHOWN_PCT}
        </span>
      )}
    </span>
  );
}

/** The next field of the same column. */
function next(input: HTMLInputElement): HTMLInputElement | undefined {
  const column = [
    ...(input.closest('[data-column]')?.querySelectorAll<HTMLInputElement>('[data-reading]') ?? []),
  ];
  return column[column.indexOf(input) + 1];
}
