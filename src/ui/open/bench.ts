import { saying, type BenchSaid, type Caution, type Session } from '@/core/procedure';
import { keep, readKept } from './keep';

const keyOf = (id: string) => `tolvan-bench:${id}`;
const listeners = new Set<() => void>();

/** What was said of the bench of a model in this tab. */
export const benchSaid = (id: string): BenchSaid | undefined => readKept<BenchSaid>(keyOf(id));

/** Says, or takes back, that something is true of the bench as it is set up for a session. */
export function sayOfBench(id: string, session: Session, caution: Caution, yes: boolean): void {
  keep(keyOf(id), saying(benchSaid(id), session, caution, yes, new Date().toISOString()));
  for (const changed of listeners) changed();
}

/** Tells whenever something is said of a bench. @returns how to stop */
export function onBench(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}
