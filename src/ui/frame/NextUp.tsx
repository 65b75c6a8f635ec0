'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { Link } from '../parts/Link';
import { isReady, isWhole, nextFrom, type JobStep, type StationId } from '@/core/procedure';
import { StatusMark } from '../status/StatusMark';
import { useJob } from '../open/job';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { useHere } from '../open/useHere';

/** Where the key `n` and every "next" lead from here. */
export function useNextFrom(): JobStep | undefined {
  const here = useHere();
  const { job } = useJob();
  return job && nextFrom(job, here);
}

/** Whether the next step will be known better in a moment. */
function usePending(): boolean {
  const { pending } = useJob();
  const { failed } = useVerdict();
  return pending && !failed;
}

/**
 * Goes to the next step. Right after a change it is only known once the program is proved again: then it goes as
 * soon as that is so, unless the person has gone elsewhere meanwhile.
 */
export function useGoNext(): () => void {
  const router = useRouter();
  const id = useModel((s) => s.id);
  const here = useHere();
  const pending = usePending();
  const next = useNextFrom();
  const wanted = useRef<{ at: StationId | undefined }>(undefined);
  const go = () => next && router.push(`/models/${id}/${next.step.station}`);
  useEffect(() => {
    if (!wanted.current || (pending && wanted.current.at === here)) return;
    const stayed = wanted.current.at === here;
    wanted.current = undefined;
    if (stayed) go();
  });
  return () => {
    if (pending) wanted.current = { at: here };
    else go();
  };
}

/** The one next thing, one key away. */
export function NextLink({ head = false }: { head?: boolean }) {
  const id = useModel((s) => s.id);
  const { job } = useJob();
  const pending = usePending();
  const next = useNextFrom();
  const goNext = useGoNext();
  if (!job) return null;
  // In the head of a small screen there is room for one word; what it leads to stands at the end of the page.
  const small = head ? 'max-lg:sr-only' : '';
  if (!next)
    return (
      <Link href={`/models/${id}/preflight`} className="btn min-h-10 px-3">
        <span>
          Preflight<span className={small}> card</span>
        </span>
      </Link>
    );
  return (
    <Link
      href={`/models/${id}/${next.step.station}`}
      onClick={(event) => {
        if (!pending || event.ctrlKey || event.metaKey || event.shiftKey) return;
        event.preventDefault();
        goNext();
      }}
      data-tour={head ? 'next' : undefined}
      className={`btn btn-main min-h-10 justify-between gap-2 py-1 text-left max-lg:px-3 ${head ? 'lg:max-w-80' : ''}`}
    >
      <span className="truncate">
        Next<span className={small}>: {next.step.title}</span>
      </span>
      <kbd className="font-num border-accent-ink/60 border px-1 text-xs max-lg:hidden">n</kbd>
    </Link>
  );
}

/** What this station proved, and what comes after it. */
export function NextUp({ here }: { here: StationId | undefined }) {
  const { job, way } = useJob();
  const next = useNextFrom();
  if (!job || here === undefined || isWhole(here)) return null;
  const place = way.flatMap((p) => p.places).find((p) => p.id === here);
  return (
    <footer className="mt-6 flex flex-wrap items-center justify-between gap-3 border-t-2 border-(--card-edge) pt-3 print:hidden">
      <p className="text-soft min-w-0 flex-1 basis-60">
        {place?.status && (
          // Where the way stands beside the work it says so itself.
          <span className="lg:hidden">
            <StatusMark
              status={place.status}
              {...(place.of > 0 ? { words: `${place.done} of ${place.of} proven` } : {})}
            />
          </span>
        )}
        {isReady(job) && (
          <strong className="text-proven block">Ready. Nothing stands in the way.</strong>
        )}
      </p>
      {next && next.step.station !== here && (
        <div className="flex flex-wrap items-center gap-3">
          <NextLink />
        </div>
      )}
      {next?.step.station === here && (
        <p className="text-stop">Something here failed: correct it before you go on.</p>
      )}
    </footer>
  );
}
