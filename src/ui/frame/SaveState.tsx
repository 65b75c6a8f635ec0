'use client';

import { useEffect } from 'react';
import { useModel } from './modelStore';

/** Says when a change is not kept, and why, and lets the person decide; asks before the page is left with one. */
export function SaveState() {
  const { conflict, unsaved, retry, keepMine, takeTheirs, version, saving } = useModel((s) => s);
  const open = saving > 0 || unsaved !== undefined || conflict !== undefined;
  useEffect(() => {
    if (!open) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [open]);
  if (conflict)
    return (
      <div role="alert" className="card border-stop mb-4 flex flex-wrap items-center gap-3">
        <p className="min-w-60 flex-1">
          <strong>Two hands on one model.</strong> It was saved elsewhere (version {conflict.head})
          after this tab read version {version}. Your change “{conflict.label}” is still here and
          not saved.
        </p>
        <button type="button" className="btn btn-main" onClick={() => void keepMine()}>
          Put mine on top
        </button>
        <button type="button" className="btn" onClick={() => void takeTheirs()}>
          Drop mine, show the other
        </button>
      </div>
    );
  if (unsaved)
    return (
      <div role="alert" className="card border-stop mb-4 flex flex-wrap items-center gap-3">
        <p className="min-w-60 flex-1">
          <strong>Not saved:</strong> {unsaved.reason}. Your change “{unsaved.label}” is still here.
        </p>
        <button type="button" className="btn btn-main" onClick={retry}>
          Try again
        </button>
      </div>
    );
  return null;
}
