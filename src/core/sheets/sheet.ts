import type { ScriptStep } from '../script';
import { kindOf, type EntryStyle, type Setup } from '../setup';
import { posesOf, type Pose } from './poses';
import { untouched } from './menus';
import { titled, type SheetSection } from './section';
import { STYLES } from './styles';
import { unitSections } from './unit-section';
import { entryScript } from './unseen';

/** What to enter, in the order the menus are met, and what to read back afterwards. */
export interface Sheet {
  title: string;
  /** The transmitter it is entered in. */
  subtitle: string;
  /** What keeps the model from moving while it is entered. */
  safe: string;
  style: EntryStyle;
  sections: SheetSection[];
  /** Parts of an entry that every menu shows before anything is entered. */
  untouched: string[];
  /** What this style of transmitter cannot hold, with what to do instead. */
  warnings: string[];
  /** Where the controls are, and the whole monitor as it must show then. */
  poses: Pose[];
  /** What no pose shows, and how it is checked instead. */
  others: ScriptStep[];
}

/** What to enter in the transmitter and in the unit, with what its style cannot hold. */
export function sheetSections(
  setup: Setup,
  style: EntryStyle = setup.transmitter.style,
): Pick<Sheet, 'sections' | 'warnings'> {
  const warnings: string[] = [];
  const own = STYLES[style].sections(setup, warnings).map((s) => titled(setup, s));
  const sections = [...own, ...unitSections(setup)].filter((s) => s.steps.length > 0);
  return { sections, warnings };
}

/** The program printed for a transmitter; another style shows the same one as another would hold it. */
export function sheetFor(setup: Setup, style: EntryStyle = setup.transmitter.style): Sheet {
  return {
    title: setup.name,
    subtitle: `To be entered in: ${setup.transmitter.name}`,
    safe: kindOf(setup.airframe).safe,
    style,
    untouched: untouched(setup),
    ...sheetSections(setup, style),
    poses: posesOf(setup).poses,
    others: entryScript(setup),
  };
}
