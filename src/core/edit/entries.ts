import type { PatchOperation } from '../patch';
import {
  pointer,
  type Failsafe,
  type Logic,
  type Output,
  type Program,
  type Setup,
} from '../setup';
import { atomsFor } from './conditions';

/*
 * The other lists of a program changed by hand. An entry of a choice becomes the person's own by it, as a
 * line does; whether what comes of it is a program is judged by whoever reads the patched Setup.
 */

/** Lists whose entries have a name of their own. */
export const NAMED_LISTS = [
  'inputs',
  'logic',
  'shapes',
  'variables',
  'callouts',
  'timers',
] as const satisfies readonly (keyof Program)[];
export type NamedList = (typeof NAMED_LISTS)[number];
export type EntryOf<L extends NamedList> = Program[L][number];

const placeOf = (setup: Setup, list: NamedList, id: string): number =>
  setup.program[list].findIndex((e) => e.id === id);

/** The entry as the person wants it, whole. */
export function putEntry<L extends NamedList>(
  setup: Setup,
  list: L,
  entry: EntryOf<L>,
): PatchOperation[] {
  const at = placeOf(setup, list, entry.id);
  if (at < 0) return [];
  const { owner: _, ...own } = entry;
  return [{ op: 'replace', path: pointer('program', list, at), value: own }];
}

export function removeEntry(setup: Setup, list: NamedList, id: string): PatchOperation[] {
  const at = placeOf(setup, list, id);
  return at < 0 ? [] : [{ op: 'remove', path: pointer('program', list, at) }];
}

/** A new entry at the end of its list; it does nothing until something reads it. */
export const addEntry = <L extends NamedList>(
  setup: Setup,
  list: L,
  entry: Omit<EntryOf<L>, 'id' | 'owner'>,
): PatchOperation[] => [
  { op: 'add', path: `/program/${list}/-`, value: { id: freeName(setup, list), ...entry } },
];

/** The name that the next entry of a list gets. */
export function freeName(setup: Setup, list: NamedList): string {
  const taken = new Set(setup.program[list].map((e) => e.id));
  let n = 1;
  while (taken.has(`own-${list}-${n}`)) n += 1;
  return `own-${list}-${n}`;
}

type Op = Logic['op'];
type FreshLogic = { [O in Op]: Omit<Extract<Logic, { op: O }>, 'id' | 'owner'> }[Op];

/** Logic of a kind as it starts out, on the first switch there is; undefined where there is nothing to watch. */
export function freshLogic(setup: Setup, op: Op, label: string): FreshLogic | undefined {
  const [first] = atomsFor(setup);
  const { controls } = setup.transmitter;
  const moved = controls.find((c) => c.kind === 'stick') ?? controls[0];
  if (op === 'near' || op === 'greater') {
    if (!moved) return undefined;
    const follows = { kind: 'control' as const, id: moved.id };
    return op === 'near'
      ? { label, op, follows, valuePct: 0, withinPct: 5 }
      : { label, op, follows, valuePct: 0 };
  }
  if (!first) return undefined;
  switch (op) {
    case 'when':
      return { label, op, when: first };
    case 'latch':
      return { label, op, set: first, reset: { kind: 'not', of: first } };
    case 'edge':
      return { label, op, of: first };
    case 'delay':
      return { label, op, of: first, onS: 0.3, offS: 0 };
    case 'toggles':
      return { label, op, of: first, count: 3, withinS: 2 };
  }
}

/** What happens after the lines of a channel: reversal, ends, subtrim. */
export function changeOutput(
  setup: Setup,
  channel: number,
  change: Partial<Omit<Output, 'channel' | 'carries'>>,
): PatchOperation[] {
  const at = setup.program.outputs.findIndex((o) => o.channel === channel);
  return Object.entries(change).map(([key, value]) => ({
    op: 'add',
    path: pointer('program', 'outputs', at, key),
    value,
  }));
}

type FailsafeKind = Failsafe['kind'];

/** What a channel does when the signal is lost, as the person's own. */
export function putFailsafe(
  setup: Setup,
  channel: number,
  kind: FailsafeKind,
  valuePct = 0,
): PatchOperation[] {
  const at = setup.program.failsafe.findIndex((f) => f.channel === channel);
  const value = kind === 'preset' ? { channel, kind, valuePct } : { channel, kind };
  return at < 0
    ? [{ op: 'add', path: '/program/failsafe/-', value }]
    : [{ op: 'replace', path: pointer('program', 'failsafe', at), value }];
}
