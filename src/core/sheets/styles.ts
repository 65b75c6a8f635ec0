import type { EntryStyle, Setup } from '../setup';
import { functionSections } from './function-style';
import { lineSections } from './line-style';
import type { SheetSection } from './section';
import { switchValueSections } from './switch-value-style';

/** How the program is entered in one kind of transmitter. */
interface Style {
  /** After "entered as …". */
  words: string;
  /** What such a transmitter has, for choosing one. */
  describes: string;
  /** @param warnings gets what this style cannot hold, with what to do instead */
  sections(setup: Setup, warnings: string[]): SheetSection[];
}

/** Every entry style; a new one is a file and a line here, and one left out does not compile. */
export const STYLES: Record<EntryStyle, Style> = {
  line: {
    words: 'lines',
    describes: 'a list of lines for every channel',
    sections: lineSections,
  },
  function: {
    words: 'functions and mixes',
    describes: 'functions and a few mixes',
    sections: functionSections,
  },
  'switch-value': {
    words: 'switch values',
    describes: 'a value for every switch position',
    sections: switchValueSections,
  },
};
