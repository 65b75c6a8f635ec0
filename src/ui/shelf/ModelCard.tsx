import { formatDistanceToNow } from 'date-fns';
import Link from 'next/link';
import type { ShelfEntry } from '@/server/models';
import { Silhouette } from '../drawing/Silhouette';
import { StatusMark } from '../status/StatusMark';

const plural = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

/** What stands between this model and its next flight, in one line. */
function standsBetween(entry: ShelfEntry): string {
  if (entry.wrong > 0) return `${plural(entry.wrong, 'surface')} going the wrong way`;
  if (entry.stale > 0) return `${plural(entry.stale, 'check')} to look at again`;
  if (entry.todo > 0) return `${plural(entry.todo, 'direction')} not yet seen`;
  return 'all directions proven';
}

export function ModelCard({ entry }: { entry: ShelfEntry }) {
  const { setup } = entry;
  return (
    <Link
      href={`/models/${entry.id}/directions`}
      className="card group flex gap-4 transition-transform hover:-translate-y-0.5"
    >
      <Silhouette airframe={setup.airframe} className="h-28 w-28 shrink-0" />
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        <h2 className="text-xl font-bold wrap-anywhere group-hover:underline">{setup.name}</h2>
        <StatusMark status={entry.status} words={standsBetween(entry)} />
        <p className="text-soft text-sm wrap-anywhere">{setup.unit.name}</p>
        <p className="text-soft mt-auto text-sm">
          Changed {formatDistanceToNow(entry.changedAt, { addSuffix: true })}
          <span className="sr-only">, version {entry.version}</span>
        </p>
      </div>
    </Link>
  );
}
