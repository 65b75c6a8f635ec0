/**
 * What a tab keeps through a reload. A browser may deny it (storage switched off, a private window,
 * a full disk): then it is kept until the page goes, and nothing else is different.
 */
const fallback = new Map<string, string>();

function storage(): Storage | undefined {
  try {
    return typeof window === 'undefined' ? undefined : window.sessionStorage;
  } catch {
    return undefined;
  }
}

export function readKept<T>(key: string): T | undefined {
  let text = fallback.get(key);
  try {
    text ??= storage()?.getItem(key) ?? undefined;
    return text === undefined ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** @param value undefined forgets it */
export function keep(key: string, value: unknown): void {
  const text = value === undefined ? undefined : JSON.stringify(value);
  try {
    fallback.delete(key);
    const place = storage();
    if (!place && text !== undefined) fallback.set(key, text);
    else if (text === undefined) place?.removeItem(key);
    else place?.setItem(key, text);
  } catch {
    if (text !== undefined) fallback.set(key, text);
  }
}
