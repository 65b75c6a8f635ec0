'use client';

import { Trash2, type LucideIcon } from 'lucide-react';
import { createContext, useContext, useState } from 'react';
import type { PatchOperation } from '@/core/patch';
import { WISH_TITLES } from '@/core/plan';
import type { WishId } from '@/core/setup';
import { useModel } from '../../open/modelStore';
import { Pointing } from '../../live/Pointing';

/** A change of an entry: kept and saved, or the reason why not, which also stands below the entry. */
export type Put = (patch: readonly PatchOperation[], words: string) => string | undefined;

const PutContext = createContext<Put>(() => undefined);
export const usePut = (): Put => useContext(PutContext);

export interface RowAct {
  label: string;
  Icon: LucideIcon;
  patch: readonly PatchOperation[];
  words: string;
  off?: boolean;
}

export const takeOut = (patch: readonly PatchOperation[]): RowAct => ({
  label: 'Remove',
  Icon: Trash2,
  patch,
  words: 'removed',
});

/** Each step inwards is a line down the side of what stands inside. */
const DEPTHS = [
  '',
  'ml-5 border-l-3 border-l-(--line)',
  'ml-10 border-l-3 border-l-(--line)',
  'ml-15 border-l-3 border-l-(--line)',
];

/** One entry of the program: its sentence, whose it is, what can be done with it, and what was refused. */
export function EntryRow({
  name,
  owner,
  controls = [],
  acts,
  children,
  more,
  grip,
  unsigned,
  depth = 0,
}: {
  name: string;
  owner?: WishId | undefined;
  controls?: readonly string[];
  acts: readonly RowAct[];
  children: React.ReactNode;
  /** Stands below the sentence. */
  more?: React.ReactNode;
  /** What it is dragged by. */
  grip?: React.ReactNode;
  /** Whose it is need not be said. */
  unsigned?: true;
  /** How deep it stands inside others. */
  depth?: number;
}) {
  const edit = useModel((s) => s.edit);
  const [refused, setRefused] = useState<string>();
  const put: Put = (patch, words) => {
    const [problem] = edit(patch, `${name}: ${words}`.slice(0, 80));
    setRefused(problem?.reason);
    return problem?.reason;
  };
  return (
    <PutContext value={put}>
      <Pointing
        as="li"
        at={{ controls: [...controls] }}
        className={`flex flex-wrap items-start justify-between gap-x-2 border-t border-(--card-edge) py-1 pl-2 ${DEPTHS[Math.min(depth, DEPTHS.length - 1)]!}`}
      >
        {grip}
        <div className="min-w-56 flex-1 leading-relaxed">
          <p>
            {children}{' '}
            {!unsigned && (
              <span className="text-soft text-sm">
                {owner ? `Written by ${WISH_TITLES[owner]}.` : 'Your own.'}
              </span>
            )}
          </p>
          {more}
          {refused && (
            <p role="alert" className="text-stop text-sm font-semibold">
              Not changed: {refused}
            </p>
          )}
        </div>
        <span className="flex">
          {acts.map(({ label, Icon, patch, words, off }) => (
            <button
              key={label}
              type="button"
              className="head-btn text-soft min-w-8"
              aria-label={`${label}: ${name}`}
              title={label}
              disabled={off}
              onClick={() => void put(patch, words)}
            >
              <Icon size={15} aria-hidden />
            </button>
          ))}
        </span>
      </Pointing>
    </PutContext>
  );
}
