import type { Setup } from '../setup';
import type { SheetStep } from './section';
import { sheetSections } from './sheet';

/** One entry that would be another, in the words of the sheet. */
export interface SheetChange {
  /** "Channel 6, mode: Switch A near" */
  entry: string;
  /** Left out where it was not there before. */
  before?: string;
  /** Left out where it is not there any more. */
  after?: string;
}

/** What has to be entered otherwise, between two Setups for the same transmitter and unit. */
export function sheetChanges(before: Setup, after: Setup): SheetChange[] {
  const [then, now] = [entriesOf(before), entriesOf(after)];
  const names = [...new Set([...then.keys(), ...now.keys()])];
  return names.flatMap((id): SheetChange[] => {
    const [a, b] = [then.get(id), now.get(id)];
    if (a?.value === b?.value && a?.entry === b?.entry) return [];
    return [
      {
        entry: (b ?? a)!.entry,
        ...(a ? { before: a.value } : {}),
        ...(b ? { after: b.value } : {}),
      },
    ];
  });
}

const entriesOf = (setup: Setup): ReadonlyMap<string, SheetStep> =>
  new Map(
    sheetSections(setup).sections.flatMap(({ title, steps }) =>
      steps.map((s) => [s.id, { ...s, entry: `${title}: ${s.entry}` }] as const),
    ),
  );
