'use client';

import { usePathname } from 'next/navigation';
import { useDraft } from '../frame/useDraft';

/**
 * What is being typed into a field and is not committed yet; it is still there after a reload.
 * @param id the field's place on the page, as React counts it: the same after a reload
 */
export function useFieldDraft(
  id: string,
  label: string,
): [string | undefined, (text: string | undefined) => void] {
  const page = usePathname();
  const [text, setText] = useDraft<string | undefined>(`${page} ${id} ${label}`, undefined);
  return [text, setText];
}
