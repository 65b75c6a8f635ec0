/**
 * What a tab keeps through a reload. A browser may deny it (storage switched off, a private window,
 * a full disk): then it is kept until the page goes, and nothing else is different.
 */
const fallback = new Map<string, string>();

/** For this tab until it is closed, or for this browser. */
export type Where = 'tab' | 'browser';

function storage(where: Where): Storage | undefined {
  try {
    if (typeof window === 'undefined') return undefined;
    return where === 'tab' ? window.sessionStorage : window.localStorage;
  } catch {
    return undefined;
  }
}

export function readKept<T>(key: string, where: Where = 'tab'): T | undefined {
  let text = fallback.get(key);
  try {
    text ??= storage(where)?.getItem(key) ?? undefined;
    return text === undefined ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** @param value undefined forgets it */
export function keep(key: string, value: unknown, where: Where = 'tab'): void {
  const text = value === undefined ? undefined : JSON.stringify(value);
  try {
    fallback.delete(key);
    const place = storage(where);
    if (!place && text !== undefined) fallback.set(key, text);
    else if (text === undefined) place?.removeItem(key);
    else place?.setItem(key, text);
  } catch {
    if (text !== undefined) fallback.set(key, text);
  }
}
