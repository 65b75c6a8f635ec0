import { menuWord, withOwn, type MenuItem, type Setup } from '../setup';

type Worded = Pick<Setup, 'transmitter'>;

/** What we call what a transmitter is entered in: menus, and the fields in them. */
export const MENU_WORDS: Record<MenuItem, string> = {
  link: 'Model and link',
  functions: 'Functions',
  sticks: 'Sticks',
  inputs: 'Inputs',
  'stick-rates': 'Rates and expo',
  variables: 'Variables',
  logic: 'Logic',
  shapes: 'Shapes',
  lines: 'Lines',
  outputs: 'Outputs',
  'throttle-cut': 'Throttle cut',
  mixes: 'Programmable mixes',
  values: 'Values',
  failsafe: 'Failsafe',
  voice: 'Call-outs and timers',
  share: 'share',
  shift: 'shifted by',
  shape: 'through the shape',
  rate: 'rate',
  expo: 'expo',
  reversed: 'reversed',
  ends: 'ends',
  subtrim: 'subtrim',
};

/** A menu or a field of it in the word this transmitter has for it, ours behind; ours alone where there is none. */
export const menuWords = ({ transmitter }: Worded, item: MenuItem): string =>
  withOwn(menuWord(transmitter, item), MENU_WORDS[item]);

/** Parts of an entry that every menu shows before anything is entered. */
export const untouched = (setup: Worded): string[] =>
  (['shift', 'subtrim'] as const).map((item) => `, ${menuWords(setup, item)} 0 %`);
