'use client';

import { ListChecks } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { Dialog } from 'radix-ui';
import { EVERYWHERE, type StationId } from '@/core/procedure';
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

/** On a small screen: the way on a sheet pulled from the bottom edge. */
export function WaySheet() {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="head-btn lg:hidden" aria-label="The way: all stations">
        <ListChecks size={20} aria-hidden />
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-paper border-ink fixed inset-x-0 bottom-0 z-50 max-h-[85dvh] overflow-y-auto rounded-t-2xl border-t-2 px-4 pb-6"
        >
          <Dialog.Title className="font-head pt-3 text-lg font-bold">The way</Dialog.Title>
          <nav aria-label="Stations of the job" onClick={() => setOpen(false)}>
            <WayList here={undefined} tall />
          </nav>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function WayList({ here, tall = false }: { here: StationId | undefined; tall?: boolean }) {
  const id = useModel((s) => s.id);
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
        {(['job', 'rig'] as const).map((place) => (
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
