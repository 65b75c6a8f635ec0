'use client';

import { useId, useState } from 'react';
import { parseMeasure, rounded, shownAs } from '@/core/measure';
import { rangeOf } from '../open/reading';
import { useSystem } from '../measure/useSystem';
import { useFieldDraft } from './useFieldDraft';

/**
 * A number of the Setup has its range there (`as`: in which of several shapes); one of the page alone brings it along.
 */
export type Bounds =
  | { at: string; as?: string; min?: never; max?: never }
  | { at?: undefined; as?: never; min: number; max: number };

export interface NumberProps {
  label: string;
  value: number;
  unit: string;
  step?: number;
  /** @returns what is wrong with it, or nothing */
  onCommit: (value: number) => string | undefined | void;
}

const show = (n: number) => String(Math.round(n * 1000) / 1000);

/**
 * A number being typed or stepped with the arrow keys (Shift for ten steps); committed on Enter and on
 * leaving. Lengths, weights and speeds are shown and taken in the measures of this device.
 */
export function useNumber({
  label,
  value,
  unit,
  step = 1,
  onCommit,
  ...bounds
}: NumberProps & Bounds) {
  const { min, max } = bounds.at === undefined ? bounds : rangeOf(bounds.at, bounds.as);
  const id = useId();
  const [system] = useSystem();
  const [text, setText, mark, forget] = useFieldDraft(id, label, value);
  const [problem, setProblem] = useState<string>();
  const other = shownAs(unit, system);
  /** Of ours as it is shown, and back. */
  const shownOf = (n: number) => (other ? rounded(n * other.per, other.digits) : n);
  const shownUnit = other?.unit ?? unit;
  const shownStep = other?.step ?? step;
  const tidy = (n: number) => {
    const [least, most] = [shownOf(min), shownOf(max)];
    return Math.round(Math.min(most, Math.max(least, n)) / shownStep) * shownStep;
  };
  const commit = (raw: string) => {
    const number = parseMeasure(raw, unit, system);
    const refuse = (why: string) => {
      forget();
      setProblem(why);
    };
    if (raw.trim() === '' || number === undefined) return refuse('Write a number.');
    // What was only looked at is not changed by how it is rounded.
    if (other && shownOf(number) === shownOf(value)) return setText(undefined);
    if (number < min || number > max)
      return refuse(`From ${shownOf(min)} to ${shownOf(max)} ${shownUnit}.`);
    const refused = number === value ? undefined : onCommit(number) || undefined;
    if (refused) return refuse(refused);
    setProblem(undefined);
    setText(undefined);
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
    /** What the number is shown in. */
    unit: shownUnit,
    /** Shows another value, of ours, without committing it. */
    put: (n: number) => put(other ? n * other.per : n),
    /** What the input takes. */
    input: {
      ...mark,
      inputMode: other ? ('text' as const) : ('decimal' as const),
      value: text ?? show(shownOf(value)),
      'aria-invalid': problem !== undefined,
      'aria-describedby': problem ? `${id}-problem` : undefined,
      onChange: (e: React.ChangeEvent<HTMLInputElement>) => setText(e.target.value),
      onBlur: () => text !== undefined && commit(text),
      onKeyDown(e: React.KeyboardEvent) {
        const size = shownStep * (e.shiftKey ? 10 : 1);
        const now = shownOf(parseMeasure(text ?? '', unit, system) ?? value);
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
