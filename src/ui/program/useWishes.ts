'use client';

import { useState } from 'react';
import { difference } from '@/core/patch';
import {
  canStandAside,
  choose,
  WISH_TITLES,
  type Choice,
  type Chosen,
  type ForHanging,
} from '@/core/plan';
import type { ProgramWishes, Setup, WishId } from '@/core/setup';
import { sheetChanges, type SheetChange } from '@/core/sheets';
import { useModel } from '../open/modelStore';

/** A choice that would leave other things behind: the person says how far it goes. */
export interface Along {
  label: string;
  /** What else would be written otherwise, choice by wish. */
  groups: { title: string; changes: SheetChange[] }[];
  /** Entries changed by hand, which stay. */
  kept: number;
  alone: Setup;
  together: Setup;
}

/** Entries of one's own that read what a choice writes no more, and what can become of them. */
export interface Read {
  label: string;
  says: string;
  ways: readonly { title: string; go: () => void }[];
}

const HANGING_WAYS: Record<ForHanging, string> = {
  keep: 'Keep what they read, as my own',
  aside: 'Switch those lines off',
};

/** The one choice that two sets differ in. */
function choiceBetween(a: ProgramWishes, b: ProgramWishes): Choice | undefined {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])] as (keyof ProgramWishes)[];
  const wish = keys.find((k) => JSON.stringify(a[k]) !== JSON.stringify(b[k]));
  return wish && ({ wish, value: b[wish] } as Choice);
}

function alongOf(
  setup: Setup,
  choice: Choice,
  chosen: Chosen,
  label: string,
  forHanging?: ForHanging,
): Along | undefined {
  if (chosen.along.length === 0 && chosen.kept.length === 0) return undefined;
  const written = (also: readonly WishId[]) => {
    const next = choose(setup, choice, also, forHanging);
    return next.ok ? next.setup : chosen.setup;
  };
  const groups = chosen.along
    .map((wish) => ({
      title: WISH_TITLES[wish],
      changes: sheetChanges(chosen.setup, written([wish])),
    }))
    .filter((g) => g.changes.length > 0);
  if (groups.length === 0 && chosen.kept.length === 0) return undefined;
  return {
    label,
    groups,
    kept: chosen.kept.length,
    alone: chosen.setup,
    together: written(chosen.along),
  };
}

/**
 * The choices of the open model. A choice that can be written is written at once; one that would leave
 * other things behind says so first; one that cannot be written stays on the screen with the reasons.
 */
export function useWishes() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const [pending, setPending] = useState<{
    of: Setup;
    wishes: ProgramWishes;
    reasons: string[];
    along?: Along | undefined;
    read?: Read | undefined;
  }>();
  const [notes, setNotes] = useState<string[]>([]);
  const open = pending?.of === setup ? pending : undefined;
  const wishes = open?.wishes ?? setup.intents.program;

  const take = (next: Setup, label: string) => {
    setPending(undefined);
    edit(difference(setup, next), label.slice(0, 80));
  };
  const wish = (next: ProgramWishes, label: string) => {
    const choice = choiceBetween(setup.intents.program, next);
    if (!choice) return setPending(undefined);
    const go = (forHanging?: ForHanging): void => {
      const result = choose(setup, choice, [], forHanging);
      if (!result.ok) {
        const { reasons, hanging } = result;
        if (!hanging || forHanging) return setPending({ of: setup, wishes: next, reasons });
        const ways = (['keep', 'aside'] as const)
          .filter((way) => way === 'keep' || canStandAside(hanging))
          .map((way) => ({ title: HANGING_WAYS[way], go: () => go(way) }));
        const read = { label, says: reasons.join(' '), ways };
        return setPending({ of: setup, wishes: next, reasons: [], read });
      }
      setNotes(result.notes);
      const along = alongOf(setup, choice, result, label, forHanging);
      if (along) setPending({ of: setup, wishes: next, reasons: [], along });
      else take(result.setup, label);
    };
    go();
  };
  return {
    setup,
    wishes,
    wish,
    take,
    reasons: open?.reasons ?? [],
    along: open?.along,
    read: open?.read,
    giveUp: () => setPending(undefined),
    notes,
  };
}

export type Wishing = ReturnType<typeof useWishes>;
