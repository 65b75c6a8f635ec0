import type { EntryStyle, MenuItem, Setup } from '../setup';
import { functionSections } from './function-style';
import { lineSections } from './line-style';
import type { MenuSection } from './section';
import { switchValueSections } from './switch-value-style';

/** How the program is entered in one kind of transmitter. */
interface Style {
  /** After "entered as …". */
  words: string;
  /** What its channels are shown as, where a program is changed by hand. */
  shown: string;
  /** What such a transmitter has, for choosing one. */
  describes: string;
  /** Menus it has, and the fields in them. */
  menus: readonly MenuItem[];
  /** @param warnings gets what this style cannot hold, with what to do instead */
  sections(setup: Setup, warnings: string[]): MenuSection[];
}

const FIELDS = ['share', 'shift', 'rate', 'expo', 'reversed', 'ends', 'subtrim'] as const;

/** Every entry style; a new one is a file and a line here, and one left out does not compile. */
export const STYLES: Record<EntryStyle, Style> = {
  line: {
    words: 'lines',
    shown: 'sentences',
    describes: 'a list of lines for every channel',
    menus: [
      'link',
      'inputs',
      'variables',
      'logic',
      'shapes',
      'lines',
      'outputs',
      'failsafe',
      'voice',
      'shape',
      ...FIELDS,
    ],
    sections: lineSections,
  },
  function: {
    words: 'functions and mixes',
    shown: 'ramps',
    describes: 'functions and a few mixes',
    menus: [
      'link',
      'functions',
      'stick-rates',
      'logic',
      'outputs',
      'throttle-cut',
      'mixes',
      'failsafe',
      'voice',
      ...FIELDS,
    ],
    sections: functionSections,
  },
  'switch-value': {
    words: 'switch values',
    shown: 'values by position',
    describes: 'a value for every switch position',
    menus: [
      'link',
      'sticks',
      'stick-rates',
      'values',
      'logic',
      'outputs',
      'failsafe',
      'voice',
      ...FIELDS,
    ],
    sections: switchValueSections,
  },
};
