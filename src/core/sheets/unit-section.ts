import { groupWords, settingGroups } from '../settings';
import type { Setup } from '../setup';
import type { SheetSection } from './section';

/** What is set inside the unit, everything about one thing together. */
export const unitSections = (setup: Setup): SheetSection[] => [
  {
    title: `In the unit: ${setup.unit.name}`,
    steps: settingGroups(setup).map((group) => ({
      id: `unit ${group.id}`,
      entry: group.title,
      value: groupWords(setup, group),
    })),
  },
];
