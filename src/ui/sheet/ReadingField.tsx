'use client';

import { useId, useState } from 'react';
import { useFieldDraft } from '../fields/useFieldDraft';

/** What the monitor shows, typed as it stands there: "-96", "−96 %", "+12". Empty takes it back. */
export function ReadingField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: number | undefined;
  onCommit: (value: number | undefined) => void;
}) {
  const [text, setText] = useFieldDraft(useId(), label);
  const [problem, setProblem] = useState(false);
  const commit = () => {
    if (text === undefined) return;
    const plain = text.replace('−', '-').replace(',', '.').replace('%', '').trim();
    const number = Number(plain);
    if (plain !== '' && (!Number.isFinite(number) || Math.abs(number) > 250)) {
      setProblem(true);
      return;
    }
    setProblem(false);
    setText(undefined);
    const next = plain === '' ? undefined : Math.round(number * 10) / 10;
    if (next !== value) onCommit(next);
  };
  return (
    <span>
      <span className="field flex w-24 items-center gap-1 focus-within:outline-3 focus-within:outline-[var(--focus)]">
        <input
          aria-label={`${label}: shows`}
          aria-invalid={problem}
          className="num w-full min-w-8 bg-transparent outline-none"
          inputMode="text"
          value={text ?? (value === undefined ? '' : String(value))}
          onChange={(e) => setText(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => {
            if (e.key === 'Enter') commit();
            if (e.key === 'Escape') setText(undefined);
          }}
        />
        <span className="text-soft font-num text-sm" aria-hidden>
          %
        </span>
      </span>
      {problem && (
        <span role="alert" className="text-stop block text-xs">
          A number to ±250
        </span>
      )}
    </span>
  );
}
