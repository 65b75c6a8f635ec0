'use client';

import { useId, useState } from 'react';
import { rangeAt } from '@/core/setup';
import { useFieldDraft } from './useFieldDraft';

/** A number of the Setup has its range there; one of the page alone brings it along. */
export type Bounds =
  { at: string; min?: never; max?: never } | { at?: undefined; min: number; max: number };

export interface NumberProps {
  label: string;
  value: number;
  unit: string;
  step?: number;
  /** @returns what is wrong with it, or nothing */
  onCommit: (value: number) => string | undefined;
}

const show = (n: number) => String(Math.round(n * 1000) / 1000);

/** A number being typed or stepped with the arrow keys (Shift for ten steps); committed on Enter and on leaving. */
export function useNumber({
  label,
  value,
  unit,
  step = 1,
  onCommit,
  ...bounds
}: NumberProps & Bounds) {
  const { min, max } = bounds.at === undefined ? bounds : rangeAt(bounds.at);
  const id = useId();
  const [text, setText] = useFieldDraft(id, label);
  const [problem, setProblem] = useState<string>();
  const tidy = (n: number) => Math.round(Math.min(max, Math.max(min, n)) / step) * step;
  const commit = (raw: string) => {
    const number = Number(raw.replace(',', '.').replace('−', '-'));
    if (raw.trim() === '' || Number.isNaN(number)) return setProblem('Write a number.');
    if (number < min || number > max) return setProblem(`From ${min} to ${max} ${unit}.`);
    const refused = number === value ? undefined : onCommit(number);
    setProblem(refused);
    if (!refused) setText(undefined);
  };
  const put = (n: number) => {
    setText(show(tidy(n)));
    setProblem(undefined);
  };
  return {
    id,
    text,
    problem,
    commit,
    /** Shows another value without committing it. */
    put,
    /** What the input takes. */
    input: {
      id,
      inputMode: 'decimal' as const,
      value: text ?? show(value),
      'aria-invalid': problem !== undefined,
      'aria-describedby': problem ? `${id}-problem` : undefined,
      onChange: (e: React.ChangeEvent<HTMLInputElement>) => setText(e.target.value),
      onBlur: () => text !== undefined && commit(text),
      onKeyDown(e: React.KeyboardEvent) {
        const size = step * (e.shiftKey ? 10 : 1);
        const now = Number(text ?? value);
        if (e.key === 'Enter' && text !== undefined) commit(text);
        else if (e.key === 'Escape' && text !== undefined) {
          setText(undefined);
          setProblem(undefined);
        } else if (e.key === 'ArrowUp') put(now + size);
        else if (e.key === 'ArrowDown') put(now - size);
        else return;
        e.preventDefault();
      },
    },
  };
}
