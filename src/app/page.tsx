import { Download, Plus } from 'lucide-react';
import Link from 'next/link';
import { listModels, type ShelfEntry } from '@/server/shelf';
import { ArchiveButton } from '@/ui/shelf/ArchiveButton';
import { ImportButton } from '@/ui/shelf/ImportButton';
import { ModelCard } from '@/ui/shelf/ModelCard';

export const dynamic = 'force-dynamic';

const GROUPS: readonly (readonly [string, (e: ShelfEntry) => boolean])[] = [
  ['Aeroplanes', ({ airframe }) => airframe.kind !== 'car' && airframe.kind !== 'boat'],
  ['Cars', ({ airframe }) => airframe.kind === 'car'],
  ['Boats', ({ airframe }) => airframe.kind === 'boat'],
];

export default function ShelfPage() {
  const entries = listModels();
  const groups = GROUPS.map(([title, has]) => ({ title, members: entries.filter(has) })).filter(
    (g) => g.members.length > 0,
  );
  return (
    <>
      <div className="my-4 flex flex-wrap items-start justify-between gap-3">
        <h1 className="text-3xl font-bold">On the shelf</h1>
        <div className="flex flex-wrap justify-end gap-2">
          <ImportButton />
          <Link href="/models/new" className="btn btn-main">
            <Plus size={18} aria-hidden />
            New model
          </Link>
        </div>
      </div>
      {entries.length === 0 ? (
        <div className="card max-w-xl">
          <p className="text-lg">The shelf is empty.</p>
          <p className="text-soft mt-1">
            Put a model on it: a name and four choices are enough to see on the bench what every
            surface will do.
          </p>
        </div>
      ) : (
        groups.map(({ title, members }) => (
          <section key={title} aria-label={title} className="mb-6">
            {groups.length > 1 && <h2 className="text-soft mb-2 text-lg font-bold">{title}</h2>}
            <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
              {members.map((entry) => (
                <li key={entry.id}>
                  <ModelCard entry={entry} />
                </li>
              ))}
            </ul>
          </section>
        ))
      )}
      <section className="card mt-8 max-w-3xl" aria-labelledby="archive-title">
        <h2 id="archive-title" className="text-lg font-bold">
          The whole workshop
        </h2>
        <p className="mt-1">
          Every model with all its versions, what was seen, its log, and the hangar: one file to put
          away, or to carry to another machine.
        </p>
        <div className="mt-2 flex flex-wrap gap-2">
          <a href="/api/archive" className="btn">
            <Download size={18} aria-hidden />
            Take a copy
          </a>
          <ArchiveButton />
        </div>
        <p className="text-soft mt-3 text-sm">
          A single model goes out and comes in as a Setup file:{' '}
          <a href="/api/schema" className="underline">
            its JSON Schema
          </a>
          .
        </p>
      </section>
    </>
  );
}
