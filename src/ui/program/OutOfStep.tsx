'use client';

import { useMemo } from 'react';
import { outOfStep, rewrite, WISH_TITLES } from '@/core/plan';
import { sheetChanges } from '@/core/sheets';
import { useVerdict } from '../open/verdict';
import type { Wishing } from './useWishes';
import { Section } from '../parts/Section';

/** What was worked out before something it was worked out from has changed, to be worked out again. */
export function OutOfStep({ setup, take }: Wishing) {
  const { findings } = useVerdict();
  const stale = useMemo(
    () =>
      outOfStep(setup).flatMap((wish) => {
        // What does otherwise than was chosen is said as that, with more ways on.
        if (findings?.some((f) => f.about?.choice === wish)) return [];
        const again = rewrite(setup, wish).setup;
        const changes = sheetChanges(setup, again);
        return changes.length > 0 ? [{ wish, again, changes }] : [];
      }),
    [setup, findings],
  );
  if (stale.length === 0) return null;
  return (
    <Section title="No longer up to date" className="card border-caution">
      <ul className="mt-2 flex flex-col gap-3">
        {stale.map(({ wish, again, changes }) => (
          <li key={wish}>
            <p className="font-semibold">{WISH_TITLES[wish]}</p>
            <ul className="list-disc pl-5 text-sm">
              {changes.slice(0, 6).map((c) => (
                <li key={c.entry}>
                  {c.entry}: {c.before === undefined ? 'new' : <s>{c.before}</s>}{' '}
                  {c.after ?? 'removed'}
                </li>
              ))}
            </ul>
            <button
              type="button"
              className="btn mt-1"
              onClick={() => take(again, `${WISH_TITLES[wish]} worked out again`)}
            >
              Work it out again
            </button>
          </li>
        ))}
      </ul>
    </Section>
  );
}
