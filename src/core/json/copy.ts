/**
 * A copy of plain data, lists and records of numbers, words and yes or no. Programs are copied many thousands of
 * times while choices and units are tried, and `structuredClone` takes four times as long.
 */
export function copyOf<T>(data: T): T {
  if (Array.isArray(data)) return data.map(copyOf) as T;
  if (data === null || typeof data !== 'object') return data;
  const copy: Partial<T> = {};
  for (const key in data) copy[key] = copyOf(data[key]);
  return copy as T;
}
