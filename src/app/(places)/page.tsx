import { Plus } from 'lucide-react';
import { Link } from '@/ui/parts/Link';
import { kindOf } from '@/core/setup';
import { PLACES, type KeptPlace } from '@/db';
import { SHELF_PAGE, listModels, oldArchive, type ShelfEntry } from '@/server/shelf';
import { DAYS_KEPT } from '@/server/modelAdmin';
import { ArchiveInButton } from '@/ui/shelf/ArchiveInButton';
import { ArchiveOutButton } from '@/ui/shelf/ArchiveOutButton';
import { ImportButton } from '@/ui/shelf/ImportButton';
import { ModelCard } from '@/ui/shelf/ModelCard';
import { ShelfRefresh } from '@/ui/shelf/ShelfRefresh';

export const dynamic = 'force-dynamic';

const TITLES: Record<KeptPlace, string> = {
  shelf: 'On the shelf',
  retired: 'Retired',
  off: 'Deleted',
};

const SHELVES = ['Aeroplanes', 'Cars', 'Boats'] as const;

/** One whose line is not worked out yet stands with the aeroplanes until it is. */
const groupsOf = (entries: readonly ShelfEntry[]) =>
  SHELVES.map((title) => ({
    title,
    members: entries.filter((e) => (e.airframe ? kindOf(e.airframe).shelf : SHELVES[0]) === title),
  })).filter((g) => g.members.length > 0);

type Query = Promise<Record<string, string | string[] | undefined>>;

export default async function ShelfPage({ searchParams }: { searchParams: Query }) {
  const query = await searchParams;
  const find = typeof query.find === 'string' ? query.find.slice(0, 80) : '';
  const most = Math.min(100_000, Math.max(SHELF_PAGE, Math.floor(Number(query.most) || 0)));
  const kept = PLACES.find((p) => p === query.kept) ?? 'shelf';
  const { entries, found, pending, elsewhere } = await listModels(undefined, { find, most, kept });
  const groups = groupsOf(entries);
  const old = oldArchive();
  const many = find !== '' || found > 12;
  return (
    <>
      <div className="my-4 flex flex-wrap items-start justify-between gap-3">
        <h1 className="text-3xl font-bold">{TITLES[kept]}</h1>
        <div className="flex flex-wrap justify-end gap-2">
          <ImportButton />
          <Link href="/models/new" className="btn btn-main">
            <Plus size={18} aria-hidden />
            New model
          </Link>
        </div>
      </div>
      <ShelfRefresh pending={pending} />
      {(kept !== 'shelf' || elsewhere.retired + elsewhere.off > 0) && (
        <nav aria-label="Where models are kept" className="mb-4 flex flex-wrap gap-2">
          {PLACES.filter((p) => p === kept || elsewhere[p] > 0).map((p) => (
            <Link
              key={p}
              className="btn"
              href={p === 'shelf' ? '/' : `/?kept=${p}`}
              aria-current={p === kept ? 'page' : undefined}
            >
              {TITLES[p]} ({elsewhere[p]})
            </Link>
          ))}
        </nav>
      )}
      {kept === 'off' && (
        <p className="card mb-4 max-w-xl">
          You can restore a deleted model for {DAYS_KEPT} days. Then it is gone, with everything
          that belongs to it.
        </p>
      )}
      {many && (
        <form action="/" className="mb-4 flex flex-wrap items-end gap-2" role="search">
          <label className="text-sm font-semibold">
            Find a model by name or tag
            <input className="field font-normal" type="search" name="find" defaultValue={find} />
          </label>
          <button type="submit" className="btn">
            Find
          </button>
          <p className="text-soft self-center text-sm">
            {entries.length} of {found} shown
          </p>
        </form>
      )}
      {entries.length === 0 && find !== '' ? (
        <p className="card max-w-xl text-lg">No model has that in its name.</p>
      ) : entries.length === 0 ? (
        <div className="card max-w-xl">
          <p className="text-lg">The shelf is empty.</p>
          <p className="text-soft mt-1">
            Add your first model: a name and four choices are enough to see what every surface will
            do.
          </p>
        </div>
      ) : (
        groups.map(({ title, members }) => (
          <section key={title} aria-label={title} className="mb-6">
            {groups.length > 1 && <h2 className="text-soft mb-2 text-lg font-bold">{title}</h2>}
            <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
              {members.map((entry) => (
                <li key={entry.id}>
                  <ModelCard entry={entry} kept={kept} />
                </li>
              ))}
            </ul>
          </section>
        ))
      )}
      {found > entries.length && (
        <Link
          className="btn"
          href={{
            pathname: '/',
            query: {
              ...(find ? { find } : {}),
              ...(kept === 'shelf' ? {} : { kept }),
              most: most * 3,
            },
          }}
          scroll={false}
        >
          Show more
        </Link>
      )}
      <section className="card mt-8 max-w-3xl" aria-labelledby="archive-title">
        <h2 id="archive-title" className="text-lg font-bold">
          The whole workshop
        </h2>
        <p className="mt-1">
          Every model with all its versions, bench answers and log, and the hangar, in one file:
          keep it as a backup or move it to another machine.
        </p>
        {old && (
          <p className="text-caution mt-1 font-semibold">
            {old.archivedAt
              ? `The last archive is ${old.days} days old, and models have changed since.`
              : 'There is no archive yet: everything is on this one machine.'}{' '}
            Make one and keep it somewhere else.
          </p>
        )}
        <div className="mt-2 flex flex-wrap gap-2">
          <ArchiveOutButton />
          <ArchiveInButton />
        </div>
        <p className="text-soft mt-3 text-sm">
          A single model is exported and imported as a Setup file:{' '}
          <a href="/api/schema" className="underline">
            its JSON Schema
          </a>
          .
        </p>
      </section>
    </>
  );
}
