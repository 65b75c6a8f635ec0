import { formatDistanceToNow } from 'date-fns';
import { Link } from '../parts/Link';
import type { KeptPlace, ShelfEntry } from '@/server/shelf';
import { Silhouette } from '../drawing/Silhouette';
import { CardMenu } from './CardMenu';

import { StatusMark } from '../status/StatusMark';

/** A model, how far it is, and the one thing that stands between it and its next flight or run. */
export function ModelCard({ entry, kept }: { entry: ShelfEntry; kept: KeptPlace }) {
  const { done, total } = entry;
  return (
    <div className="card group relative flex h-full gap-4 transition-transform hover:-translate-y-0.5">
      {entry.airframe ? (
        <Silhouette airframe={entry.airframe} className="h-28 w-28 shrink-0" />
      ) : (
        <span className="h-28 w-28 shrink-0" />
      )}
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        <h2 className="pr-9 text-xl font-bold wrap-break-word group-hover:underline">
          {/* The whole card leads there; its menu lies above it. */}
          <Link
            href={`/models/${entry.id}/job`}
            className="after:absolute after:inset-0"
            aria-describedby={`where-${entry.id}`}
          >
            {entry.name}
          </Link>
        </h2>
        <div id={`where-${entry.id}`}>
          <StatusMark status={entry.status} words={entry.words} />
        </div>
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
        {entry.tags.length > 0 && (
          <p className="text-soft flex flex-wrap gap-1 text-sm">
            {entry.tags.map((t) => (
              <span key={t} className="border-edge rounded border px-1.5">
                {t}
              </span>
            ))}
          </p>
        )}
        <p className="text-soft mt-auto text-sm">
          {entry.movedAt &&
            `${kept === 'off' ? 'Deleted' : 'Retired'} ${formatDistanceToNow(entry.movedAt, { addSuffix: true })} · `}
          {entry.flownAt
            ? `Out ${formatDistanceToNow(entry.flownAt, { addSuffix: true })}`
            : 'Never out yet'}
          {' · changed '}
          {formatDistanceToNow(entry.changedAt, { addSuffix: true })}
          <span className="sr-only">, version {entry.version}</span>
        </p>
      </div>
      <div className="absolute top-2 right-2 z-1">
        <CardMenu entry={entry} kept={kept} />
      </div>
    </div>
  );
}
