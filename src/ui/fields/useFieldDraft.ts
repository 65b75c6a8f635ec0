'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { keep, readKept } from '../open/keep';

/** What was typed, and what stood there when it was. */
interface Draft {
  text: string;
  over: string;
}

/** What a field's input must carry, so that it is found again after a reload. */
export interface DraftMark {
  id: string;
  'data-field': string;
}

/**
 * What is being typed into a field and is not committed yet; it is still there after a reload. Among
 * fields of the same label the one in the same place of the page gets it back, and only while the value
 * it was typed over still stands there.
 * @param id of its input @param label in the words of the page @param value what is committed
 * @returns the text, how it is changed (undefined: committed, or given up), what the input must carry, and how
 *   what was refused is not kept: after a reload nothing would say that it was
 */
export function useFieldDraft(
  id: string,
  label: string,
  value: string | number | undefined,
): [
  text: string | undefined,
  set: (text: string | undefined) => void,
  mark: DraftMark,
  forget: () => void,
] {
  const page = usePathname();
  const over = String(value ?? '');
  const [text, show] = useState<string>();
  const lastKey = useRef<string | undefined>(undefined);
  const found = useRef({ page, label, over });
  useEffect(() => {
    // After the first drawing, which must be the one the server made, and once all fields stand there.
    const { page, label, over } = found.current;
    const key = keyOf(page, label, id);
    const draft = readKept<Draft>(key);
    if (draft?.over !== over) return;
    lastKey.current = key;
    show(draft.text);
  }, [id]);
  const set = (next: string | undefined) => {
    show(next);
    const key = keyOf(page, label, id);
    if (lastKey.current && (next === undefined || lastKey.current !== key))
      keep(lastKey.current, undefined);
    lastKey.current = next === undefined ? undefined : key;
    if (next !== undefined) keep(key, { text: next, over } satisfies Draft);
  };
  const forget = () => {
    if (lastKey.current) keep(lastKey.current, undefined);
    lastKey.current = undefined;
  };
  return [text, set, { id, 'data-field': label }, forget];
}

/** A field's name in this tab: its page, its label, and its place among fields of that label. */
function keyOf(page: string, label: string, id: string): string {
  const alike = [...document.querySelectorAll<HTMLElement>('[data-field]')].filter(
    (e) => e.dataset.field === label,
  );
  return `draft:${page} ${label} ${alike.findIndex((e) => e.id === id)}`;
}
