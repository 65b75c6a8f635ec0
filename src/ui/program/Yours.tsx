'use client';

import { useMemo } from 'react';
import { rewrite, WISH_TITLES } from '@/core/plan';
import type { Setup, WishId } from '@/core/setup';

/** Says of a choice that the person has taken some of it into their own hands, and gives it back. */
export function Yours({
  setup,
  of,
  take,
}: {
  setup: Setup;
  of: WishId;
  take: (next: Setup, label: string) => void;
}) {
  const { kept } = useMemo(() => rewrite(setup, of), [setup, of]);
  if (kept.length === 0) return null;
  return (
    <p className="text-soft flex flex-wrap items-center gap-x-3 text-base">
      {kept.length === 1
        ? 'One entry of it is your own now: it is not rewritten, and its purpose is still proved.'
        : `${kept.length} entries of it are your own now: they are not rewritten, and their purpose is still proved.`}
      <button
        type="button"
        className="text-accent min-h-8 font-semibold hover:underline pointer-coarse:min-h-11"
        onClick={() => take(rewrite(setup, of, true).setup, `${WISH_TITLES[of]} written again`)}
      >
        Write it again
        <span className="sr-only">: {WISH_TITLES[of]}</span>
      </button>
    </p>
  );
}
