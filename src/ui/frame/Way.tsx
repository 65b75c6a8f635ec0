'use client';

import { Link } from '../parts/Link';
import { EVERYWHERE, type StationId } from '@/core/procedure';
import { kindOf } from '@/core/setup';
import { STATUS_WORDS, StatusMark } from '../status/StatusMark';
import { useJob } from '../open/job';
import { useModel } from '../open/modelStore';

export const WAY_ID = 'the-way';

/** The way as a rail beside the work. */
export function WayRail({ here }: { here: StationId | undefined }) {
  return (
    <nav
      id={WAY_ID}
      data-tour="way"
      aria-label="Stations of the job"
      className="border-edge w-54 shrink-0 overflow-y-auto border-r py-1 pl-4 max-lg:hidden print:hidden"
    >
      <WayList here={here} />
    </nav>
  );
}

/** Every station that applies, under what the bench is set up for, with its status. */
export function WayList({ here, tall = false }: { here: StationId | undefined; tall?: boolean }) {
  const id = useModel((s) => s.id);
  const flies = useModel((s) => kindOf(s.setup.airframe).moves === 'air');
  const { way, next, pending } = useJob();
  const row = tall ? 'min-h-11' : 'min-h-6 pointer-coarse:min-h-11';
  return (
    <>
      {way.map(({ group, title, places }) => (
        <section key={group} aria-labelledby={`way-${group}`}>
          <h2 id={`way-${group}`} className="text-soft mt-1.5 font-sans text-xs font-semibold">
            {title}
          </h2>
          <ol>
            {places.map((place) => {
              const current = place.id === here;
              const isNext = place.id === next?.step.station;
              return (
                <li key={place.id}>
                  <Link
                    href={`/models/${id}/${place.id}`}
                    aria-current={current ? 'page' : undefined}
                    title={
                      place.reasons.length > 0 ? `${place.reasons.join('; ')} changed` : undefined
                    }
                    className={`-ml-2 flex ${row} items-center gap-2 py-px pr-2 pl-2 text-[0.95rem] leading-tight hover:bg-(--shade) ${
                      current
                        ? 'border-edge bg-card border border-r-0 font-bold'
                        : isNext
                          ? 'text-accent font-bold'
                          : ''
                    }`}
                  >
                    <span className={`flex w-4.5 ${pending ? 'opacity-50' : ''}`}>
                      {place.status ? (
                        <StatusMark status={place.status} words="" />
                      ) : (
                        <span className="text-soft" aria-hidden>
                          …
                        </span>
                      )}
                    </span>
                    {place.title}
                    <span className="sr-only">
                      , {place.status ? STATUS_WORDS[place.status] : 'being proved'}
                      {isNext && ', next'}
                    </span>
                  </Link>
                </li>
              );
            })}
          </ol>
        </section>
      ))}
      <p className="mt-1.5 flex gap-3 text-sm">
        {(flies ? (['job', 'rig', 'fly'] as const) : (['job', 'rig'] as const)).map((place) => (
          <Link
            key={place}
            href={`/models/${id}/${place}`}
            aria-current={place === here ? 'page' : undefined}
            className={`flex ${row} items-center underline-offset-4 hover:underline aria-[current]:font-bold`}
          >
            {EVERYWHERE[place]}
          </Link>
        ))}
      </p>
    </>
  );
}
