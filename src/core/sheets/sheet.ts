import type { EntryStyle, Setup } from '../setup';
import { readBacksOf, type ReadBack } from './read-back';
import type { SheetSection } from './section';
import { STYLES } from './styles';
import { unitSections } from './unit-section';

/** What to enter, in the order the menus are met, and what to read back afterwards. */
export interface Sheet {
  title: string;
  style: EntryStyle;
  sections: SheetSection[];
  /** What this style of transmitter cannot hold, with what to do instead. */
  warnings: string[];
  readBacks: ReadBack[];
}

/** The program printed for a transmitter; another style shows the same one as another would hold it. */
export function sheetFor(setup: Setup, style: EntryStyle = setup.transmitter.style): Sheet {
  const warnings: string[] = [];
  const own = STYLES[style].sections(setup, warnings);
  return {
    title: `${setup.name}: ${setup.transmitter.name}`,
    style,
    sections: [...own, ...unitSections(setup)].filter((s) => s.steps.length > 0),
    warnings,
    readBacks: readBacksOf(setup),
  };
}
