'use client';

import { useEffect, useMemo } from 'react';
import { toast } from '../parts/toast';
import { compare } from '@/core/compare';
import { notTaken } from '../open/modelState';
import { useModel } from '../open/modelStore';

/** Says when a change is not saved, and why, and lets the person decide what goes on. */
export function SaveState() {
  const conflict = useModel((s) => s.conflict);
  const unsaved = useModel(notTaken);
  const unsure = useModel((s) => s.maybeOutdated);
  const notice = useModel((s) => s.notice);
  const retry = useModel((s) => s.retry);
  const refresh = useModel((s) => s.refresh);
  useEffect(() => {
    if (notice) toast.error(notice.words, { id: notice.words, duration: 12_000 });
  }, [notice]);
  if (conflict) return <Conflict />;
  if (unsaved)
    return (
      <div role="alert" className="card border-stop mb-4 flex flex-wrap items-center gap-3">
        <p className="min-w-60 flex-1 wrap-break-word">
          <strong>Not saved:</strong> {unsaved.reason}. Your change “{unsaved.label}” is still here
          {unsaved.again && ' and is tried again by itself'}.
        </p>
        <button type="button" className="btn btn-main" onClick={retry}>
          Try again
        </button>
      </div>
    );
  if (unsure)
    return (
      <div role="status" className="card mb-4 flex flex-wrap items-center gap-3">
        <p className="min-w-60 flex-1">
          The server does not answer, so this may not be the newest version of the model.
        </p>
        <button type="button" className="btn" onClick={() => void refresh()}>
          Ask again
        </button>
      </div>
    );
  return null;
}

/** Two saves that met: what the other one changed, and whose goes on. */
function Conflict() {
  const conflict = useModel((s) => s.conflict)!;
  const version = useModel((s) => s.version);
  const setup = useModel((s) => s.setup);
  const keepMine = useModel((s) => s.keepMine);
  const takeTheirs = useModel((s) => s.takeTheirs);
  const { theirs } = conflict;
  const differences = useMemo(
    () => (theirs ? compare(setup, theirs.setup).slice(0, 6) : []),
    [setup, theirs],
  );
  return (
    <div role="alert" className="card border-stop mb-4 flex flex-wrap items-center gap-3">
      <div className="min-w-60 flex-1 wrap-break-word">
        <p>
          <strong>Two people are editing this model.</strong> It was saved elsewhere (version{' '}
          {conflict.head}) after this tab read version {version}. Your change “{conflict.label}” is
          still here and not saved.
        </p>
        {differences.length > 0 && (
          <ul
            className="text-soft mt-1 list-disc pl-5 text-sm"
            aria-label="From yours to the other"
          >
            {differences.map((d) => (
              <li key={`${d.what} ${d.words}`}>
                {d.what}: {d.words}
              </li>
            ))}
          </ul>
        )}
        {conflict.clash && (
          <p className="text-stop mt-1">
            Both versions changed the same setting. “Use mine” replaces the saved one.
          </p>
        )}
      </div>
      <button type="button" className="btn btn-main" onClick={() => void keepMine()}>
        Use mine
      </button>
      <button type="button" className="btn" onClick={() => void takeTheirs()}>
        Use the saved one
      </button>
    </div>
  );
}
