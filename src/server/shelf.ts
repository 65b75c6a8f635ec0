import type { Status } from '../core/logbook';
import { isReady, jobOf, nextStep, stoppedAt, type JobStep } from '../core/procedure';
import type { Airframe } from '../core/setup';
import { verify } from '../core/verify';
import { workshop, type Workshop } from './workshop';

/** What is worked out of a model for the shelf. */
interface ShelfLine {
  name: string;
  airframe: Airframe;
  status: Status;
  /** What stands between it and its next flight or run, in one line. */
  words: string;
  done: number;
  total: number;
}

/** A model on the shelf. */
export interface ShelfEntry extends ShelfLine {
  id: string;
  version: number;
  changedAt: string;
  /** Last flight or run, ISO 8601. */
  flownAt: string | undefined;
  /** That its last preflight check was too long ago. */
  overdue: string | undefined;
}

/** A preflight check older than this is made again before flying. Common practice, no source. */
const OVERDUE_DAYS = 60;
/** Raised whenever lines are worked out otherwise: one kept by an earlier program must not speak for this one. */
const LINE_REVISION = 2;
/** A page does not wait longer than this for proofs that were never made; the rest comes next time. */
const PROOF_BUDGET_MS = 1500;

/** The shelf: every model, worked out anew only where something changed. */
export function listModels(store = workshop()): ShelfEntry[] {
  const until = Date.now() + PROOF_BUDGET_MS;
  const newest = store.evidence.newest();
  const last = store.log.last();
  const lines = store.shelf.all<ShelfLine>();
  return store.models.heads().map(({ modelId, version, at }) => {
    const madeOf = `${LINE_REVISION} ${version} ${newest.get(modelId) ?? 0}`;
    const kept = lines.get(modelId);
    let line = kept?.madeOf === madeOf ? kept.line : undefined;
    if (!line) {
      const mayProve = Date.now() < until;
      line = workOut(store, modelId, mayProve);
      if (mayProve) store.shelf.keep(modelId, madeOf, line);
    }
    const own = last.get(modelId);
    return {
      ...line,
      id: modelId,
      version,
      changedAt: at,
      flownAt: own?.flight,
      overdue: overdueWords(own?.preflight),
    };
  });
}

function overdueWords(checkedAt: string | undefined): string | undefined {
  if (checkedAt === undefined) return undefined;
  const days = Math.floor((Date.now() - Date.parse(checkedAt)) / 86_400_000);
  return days > OVERDUE_DAYS ? `last preflight check ${days} days ago` : undefined;
}

function workOut(store: Workshop, modelId: string, mayProve: boolean): ShelfLine {
  const { setup } = store.models.head(modelId)!;
  const base = { name: setup.name, airframe: setup.airframe };
  if (!mayProve)
    return { ...base, status: 'todo', words: 'not looked through yet', done: 0, total: 1 };
  const job = jobOf({ setup, evidence: store.evidence.of(modelId), findings: verify(setup) });
  const next = stoppedAt(job) ?? nextStep(job);
  return {
    ...base,
    status: isReady(job) ? 'proven' : next!.status,
    words: isReady(job) ? readyWords(next) : standsBetween(job, next!),
    done: job.filter((j) => j.status === 'proven').length,
    total: job.length,
  };
}

/** Ready all the same: what is left is done out there. */
const readyWords = (next: JobStep | undefined) =>
  next ? `ready; out there: ${next.step.title.toLowerCase()}` : 'ready';

function standsBetween(job: readonly JobStep[], { step, status, proofs }: JobStep): string {
  if (status === 'stop') return `${step.title}: ${proofs.find((p) => p.status === 'stop')!.what}`;
  const stale = job.filter((j) => j.status === 'stale');
  const [why] = stale.flatMap((j) => j.reasons);
  if (stale.length === 0) return `next: ${step.title.toLowerCase()}`;
  const what =
    stale.length > 3
      ? `${stale.length} of ${job.length} steps`
      : stale.map((j) => j.step.title).join(', ');
  return `${what} again: ${why} changed`;
}
