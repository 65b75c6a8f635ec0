import { CAUTIONS, stepOf, type BenchSaid } from '@/core/procedure';

/** Everything said of the bench that a check asks for, a moment ago. */
export function saidFor(check: string): BenchSaid {
  const at = new Date().toISOString();
  return {
    session: stepOf({ check, surface: '' })?.session ?? 'prop-off',
    sure: CAUTIONS.map((caution) => ({ caution, at })),
  };
}

/** An answer, or several of one look, as given by somebody who has made the bench safe. */
export function safely<T extends object>(said: T): T & { bench: BenchSaid } {
  const { check, answers } = said as { check?: string; answers?: readonly { check: string }[] };
  return { ...said, bench: saidFor(check ?? answers?.[0]?.check ?? '') };
}
