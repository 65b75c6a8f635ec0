/** What is wrong with some input, and where: `path` is a JSON Pointer (RFC 6901), '' the whole. */
export interface Problem {
  path: string;
  reason: string;
}

/** Errors as data: either the value or every problem found. */
export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

/** JSON Pointer from path segments (RFC 6901 §3, `~` and `/` escaped). */
export function pointer(...segments: readonly (string | number | symbol)[]): string {
  return segments.map((s) => '/' + String(s).replaceAll('~', '~0').replaceAll('/', '~1')).join('');
}

/** One line for a terminal or a toast: path, then reason. */
export function describeProblem(problem: Problem): string {
  return `${problem.path === '' ? 'whole file' : problem.path}: ${problem.reason}`;
}
