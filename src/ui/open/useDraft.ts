'use client';

import { useCallback, useEffect, useState } from 'react';
import { keep, readKept } from './keep';

/**
 * State that is still there after a reload: text that was being written, answers given so far.
 * @param key names it in this tab; undefined keeps nothing @returns like useState, with a way to forget it
 */
export function useDraft<T>(
  key: string | undefined,
  initial: T,
): [T, (next: T) => void, () => void] {
  const [value, setValue] = useState<T>(initial);
  useEffect(() => {
    // Read after the first drawing, which must be the one the server made.
    const kept = key === undefined ? undefined : readKept<T>(`draft:${key}`);
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (kept !== undefined) setValue(kept);
  }, [key]);
  const set = useCallback(
    (next: T) => {
      setValue(next);
      if (key !== undefined) keep(`draft:${key}`, next);
    },
    [key],
  );
  const forget = useCallback(() => {
    setValue(initial);
    if (key !== undefined) keep(`draft:${key}`, undefined);
    // The initial value is what it was when the page was made.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return [value, set, forget];
}
