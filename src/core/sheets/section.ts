import type { MenuItem, Setup } from '../setup';
import { menuWords } from './menus';

/** One thing to type or choose. */
export interface SheetStep {
  /** The name that stands for it in a mismatch: a line, an output, an input. */
  id: string;
  entry: string;
  value: string;
}

/** What is entered in one menu; where there is one for each channel, of which. */
export interface MenuSection {
  item: MenuItem;
  of?: string;
  /** The menu is one that not every transmitter has. */
  perhaps?: true;
  steps: SheetStep[];
}

export interface SheetSection {
  title: string;
  /** The menu of the transmitter and its name; left out for what is set in the unit. */
  menu?: { item: MenuItem; words: string; of: string | undefined };
  steps: SheetStep[];
}

/** The section under the name this transmitter has for its menu. */
export function titled(setup: Setup, { item, of, perhaps, steps }: MenuSection): SheetSection {
  const words = menuWords(setup, item);
  return {
    title: `${words}${of ? ` of ${of}` : ''}${perhaps ? ', where it has any' : ''}`,
    menu: { item, words, of },
    steps,
  };
}
