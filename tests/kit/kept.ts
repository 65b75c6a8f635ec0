import { copyOf } from '@/core/json';

const named = (_: string, value: unknown) => (value === undefined ? ' nothing' : value);

/**
 * Makes each thing once for the same words and numbers, and gives everybody a copy of their own: planning and
 * writing a program takes longer than most tests that begin with one.
 */
export function kept<A extends readonly unknown[], R extends object>(
  make: (...asked: A) => R,
): (...asked: A) => R {
  const made = new Map<string, R>();
  return (...asked) => {
    const key = JSON.stringify(asked, named);
    const known = made.get(key) ?? make(...asked);
    made.set(key, known);
    return copyOf(known);
  };
}
