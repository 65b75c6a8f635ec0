'use client';

import { Search, Undo2 } from 'lucide-react';
import { Link } from '../parts/Link';
import { LightButton } from '../theme/LightButton';
import type { Theme } from '../theme/themes';
import { useFind } from './Find';
import { countOf, useJob } from '../open/job';
import { notTaken } from '../open/modelState';
import { useModel } from '../open/modelStore';
import { NextLink } from './NextUp';
import { WayButton } from './WayButton';

/** One line: which model, how much of it is proven, the one next thing, undo, find, light. */
export function Head({ theme }: { theme: Theme }) {
  const name = useModel((s) => s.setup.name);
  const id = useModel((s) => s.id);
  return (
    <header className="border-ink flex items-center gap-x-3 border-b-2 px-3 py-1 max-lg:sticky max-lg:top-0 max-lg:z-20 max-lg:gap-x-1 max-lg:bg-(--paper) lg:h-13 lg:px-4 print:hidden">
      <WayButton theme={theme} />
      <Link
        href="/"
        className="font-head flex min-h-11 shrink-0 items-center text-xl font-bold max-lg:hidden"
      >
        Tolvan
      </Link>
      <Link
        href={`/models/${id}/job`}
        className="font-head min-w-0 truncate text-lg font-semibold hover:underline max-lg:flex-1"
        title={name}
      >
        {name}
      </Link>
      <Proven />
      <SavedWords />
      <span className="ml-auto flex items-center gap-1 max-lg:ml-0">
        <UndoButton />
        <FindButton />
        <span className="max-lg:hidden">
          <LightButton theme={theme} small />
        </span>
        <NextLink head />
      </span>
    </header>
  );
}

/** How much of the way is proven. */
function Proven() {
  const { way, job } = useJob();
  const { done, places } = countOf(way);
  return (
    <span
      className="text-soft flex shrink-0 items-center gap-2 text-sm max-lg:sr-only"
      aria-live="polite"
    >
      <span className="bg-edge h-1.5 w-20 max-xl:hidden" aria-hidden>
        <span
          className="block h-1.5 bg-(--proven)"
          style={{ width: `${(100 * done) / Math.max(1, places)}%` }}
        />
      </span>
      {job ? (
        <span>
          {done} of {places} proven
        </span>
      ) : (
        'proving …'
      )}
    </span>
  );
}

/** Whether what is on the screen is kept. */
function SavedWords() {
  const version = useModel((s) => s.version);
  const saving = useModel((s) => s.saving > 0);
  const open = useModel((s) => notTaken(s) !== undefined || s.conflict !== undefined);
  return (
    <span className="text-soft shrink-0 text-sm max-sm:sr-only" aria-live="polite">
      {saving ? 'Saving …' : open ? `Not saved, version ${version}` : `Saved, version ${version}`}
    </span>
  );
}

function UndoButton() {
  const last = useModel((s) => s.past.at(-1));
  const undo = useModel((s) => s.undo);
  return (
    <button
      type="button"
      className="head-btn"
      onClick={undo}
      disabled={!last}
      aria-label="Undo the last change"
      title={last && `Undo: ${last.label}`}
    >
      <Undo2 size={18} aria-hidden />
    </button>
  );
}

function FindButton() {
  const { show } = useFind();
  return (
    <button
      type="button"
      className="head-btn lg:border-line gap-2 lg:w-40 lg:justify-start lg:border"
      onClick={show}
      aria-label="Find anything"
    >
      <Search size={16} aria-hidden />
      <span className="text-soft text-sm font-normal max-lg:hidden">
        Find anything <kbd className="font-num text-xs">/</kbd>
      </span>
    </button>
  );
}
