import { isDone } from '../logbook';
import type { JobStep } from './job';
import { SESSIONS, type Session } from './step';

/** Steps that can be done in one go at the bench. */
export interface BenchSession {
  session: Session;
  steps: JobStep[];
}

/**
 * The shortest way from here: an order of the open steps that keeps every dependency and changes
 * the bench (paper, propeller off, link off, propeller on) as seldom as possible. Exact: the fewest
 * changes from every set of steps done, worked out once each.
 * @param open steps not proven yet @param now what the bench is set up for
 */
export function shortestWay(job: readonly JobStep[], now: Session = 'paper'): BenchSession[] {
  const open = job.filter((j) => !isDone(j.status));
  const bit = new Map(open.map((j, i) => [j.step.id, 1 << i]));
  const needs = open.map((j) => j.waitsFor.reduce((mask, s) => mask | (bit.get(s.id) ?? 0), 0));
  const own = SESSIONS.map((session) =>
    open.reduce((mask, j, i) => (j.step.session === session ? mask | (1 << i) : mask), 0),
  );
  const all = (1 << open.length) - 1;
  /** Everything that can be done with the bench set up so, one step making way for the next. */
  const exhaust = (done: number, at: number): number => {
    for (;;) {
      const next = open.findIndex(
        (_, i) => !((done >> i) & 1) && (own[at]! >> i) & 1 && (needs[i]! & ~done) === 0,
      );
      if (next < 0) return done;
      done |= 1 << next;
    }
  };
  const known = new Map<number, number[] | undefined>();
  const fewest = (done: number): number[] | undefined => {
    if (done === all) return [];
    if (known.has(done)) return known.get(done);
    let best: number[] | undefined;
    SESSIONS.forEach((_, at) => {
      const after = exhaust(done, at);
      if (after === done) return;
      const rest = fewest(after);
      if (rest && (!best || rest.length + 1 < best.length)) best = [at, ...rest];
    });
    known.set(done, best);
    return best;
  };
  // What the bench is set up for already is done first: it costs no change.
  const start = SESSIONS.indexOf(now);
  const first = exhaust(0, start);
  const rest = fewest(first);
  const ways = [
    ...(rest ? [first === 0 ? rest : [start, ...rest]] : []),
    ...[fewest(0)].filter((w) => w !== undefined),
  ].toSorted((a, b) => a.length - b.length);
  let done = 0;
  return (ways[0] ?? []).map((at) => {
    const after = exhaust(done, at);
    const steps = open.filter((_, i) => ((after & ~done) >> i) & 1);
    done = after;
    return { session: SESSIONS[at]!, steps: inOrder(steps) };
  });
}

/** Steps of one session, each after those it waits for. */
function inOrder(steps: readonly JobStep[]): JobStep[] {
  const left = [...steps];
  const sorted: JobStep[] = [];
  while (left.length > 0) {
    const at = left.findIndex((j) => !j.waitsFor.some((s) => left.some((l) => l.step.id === s.id)));
    sorted.push(...left.splice(Math.max(0, at), 1));
  }
  return sorted;
}

/** The one thing to do next: what was found wrong, else the first step of the shortest way. */
export function nextStep(job: readonly JobStep[]): JobStep | undefined {
  return (
    job.find((j) => j.status === 'stop' && j.waitsFor.length === 0) ?? shortestWay(job)[0]?.steps[0]
  );
}
