'use client';

import { useEffect, useRef } from 'react';
import type { Wishing } from './useWishes';

/** Why a choice cannot be taken, or what else it would want changed, before anything is. */
export function WhatElse({ reasons, along, read, take, giveUp }: Wishing) {
  const card = useRef<HTMLDivElement>(null);
  const shown = along !== undefined || read !== undefined || reasons.length > 0;
  // Wherever on the page the choice was made, the question is seen.
  useEffect(() => {
    if (shown) card.current?.scrollIntoView({ block: 'nearest' });
  }, [shown]);
  if (reasons.length > 0)
    return (
      <div ref={card} role="alert" className="card border-stop">
        <p className="text-stop font-semibold">This cannot be done; nothing was changed.</p>
        <ul className="list-disc pl-5">
          {reasons.map((r) => (
            <li key={r}>{r}</li>
          ))}
        </ul>
        <button type="button" className="btn mt-2" onClick={giveUp}>
          Back to what it was
        </button>
      </div>
    );
  if (read)
    return (
      <div
        ref={card}
        role="alertdialog"
        aria-label="What happens to it"
        className="card border-caution"
      >
        <p className="font-semibold">{read.label}. Nothing was changed yet.</p>
        <p className="mt-1">{read.says}</p>
        <div className="mt-3 flex flex-wrap gap-2">
          {read.ways.map((way) => (
            <button key={way.title} type="button" className="btn" onClick={way.go}>
              {way.title}
            </button>
          ))}
          <button type="button" className="btn" onClick={giveUp}>
            Leave everything as it was
          </button>
        </div>
      </div>
    );
  if (!along) return null;
  const { label, groups, kept, alone, together } = along;
  return (
    <div
      ref={card}
      role="alertdialog"
      aria-label="What else would change"
      className="card border-caution"
    >
      {groups.length > 0 && (
        <>
          <p className="font-semibold">
            {label}. This was worked out from what you are changing, and would now be entered
            differently:
          </p>
          {groups.map((g) => (
            <div key={g.title} className="mt-2">
              <h3 className="font-bold">{g.title}</h3>
              <ul className="list-disc pl-5 text-sm">
                {g.changes.map((c) => (
                  <li key={c.entry}>
                    {c.entry}: {c.before === undefined ? 'new' : <s>{c.before}</s>}{' '}
                    {c.after ?? 'removed'}
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </>
      )}
      {kept > 0 && (
        <p className="mt-2">
          {kept === 1 ? 'One entry that you changed' : `${kept} entries that you changed`} by hand
          will stay as {kept === 1 ? 'it is' : 'they are'}.
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {groups.length > 0 && (
          <button type="button" className="btn btn-main" onClick={() => take(together, label)}>
            Update these too
          </button>
        )}
        <button type="button" className="btn" onClick={() => take(alone, label)}>
          {groups.length > 0 ? 'Change only what I chose' : 'Go on'}
        </button>
        <button type="button" className="btn" onClick={giveUp}>
          Leave everything as it was
        </button>
      </div>
    </div>
  );
}
