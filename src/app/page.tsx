import { Plus } from 'lucide-react';
import Link from 'next/link';
import { listModels } from '@/server/models';
import { ImportButton } from '@/ui/shelf/ImportButton';
import { ModelCard } from '@/ui/shelf/ModelCard';

export const dynamic = 'force-dynamic';

export default function ShelfPage() {
  const entries = listModels();
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
        <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
          {entries.map((entry) => (
            <li key={entry.id}>
              <ModelCard entry={entry} />
            </li>
          ))}
        </ul>
      )}
      <p className="text-soft mt-8 text-sm">
        A model goes out and comes in as one Setup file:{' '}
        <a href="/api/schema" className="underline">
          its JSON Schema
        </a>
        .
      </p>
    </>
  );
}
