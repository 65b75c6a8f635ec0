import { formatDistanceToNow } from 'date-fns';
import Link from 'next/link';
import type { ShelfEntry } from '@/server/shelf';
import { Silhouette } from '../drawing/Silhouette';
import { StatusMark } from '../status/StatusMark';

/** A model, how far it is, and the one thing that stands between it and its next flight or run. */
export function ModelCard({ entry }: { entry: ShelfEntry }) {
  const { done, total } = entry;
  return (
    <Link
      href={`/models/${entry.id}/job`}
      className="card group flex h-full gap-4 transition-transform hover:-translate-y-0.5"
    >
      {entry.airframe ? (
        <Silhouette airframe={entry.airframe} className="h-28 w-28 shrink-0" />
      ) : (
        <span className="h-28 w-28 shrink-0" />
      )}
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        <h2 className="text-xl font-bold wrap-anywhere group-hover:underline">{entry.name}</h2>
        <StatusMark status={entry.status} words={entry.words} />
        {entry.overdue && (
          <p className="text-sm">
            <StatusMark status="stale" words={entry.overdue} />
          </p>
        )}
        <div
          className="mt-1 h-2 overflow-hidden rounded bg-(--shade)"
          role="img"
          aria-label={`${done} of ${total} steps proven`}
        >
          <div className="bg-proven h-full" style={{ width: `${(100 * done) / total}%` }} />
        </div>
        <p className="text-soft mt-auto text-sm">
          {entry.flownAt
            ? `Out ${formatDistanceToNow(entry.flownAt, { addSuffix: true })}`
            : 'Never out yet'}
          {' · changed '}
          {formatDistanceToNow(entry.changedAt, { addSuffix: true })}
          <span className="sr-only">, version {entry.version}</span>
        </p>
      </div>
    </Link>
  );
}
