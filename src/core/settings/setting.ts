import type { Setup, UnitSettings } from '../setup';

/** How a value is put in by hand on a screen. The range of a number is the schema's, at its path. */
export type Field =
  | { kind: 'number'; unit: string; step?: number }
  | { kind: 'choice'; options: readonly (readonly [value: string, words: string])[] }
  | { kind: 'flag'; on: string; off: string };

/** One value of one setting: a line that is entered, confirmed and compared. */
export interface Row {
  /** Unique over all settings: "fade roll". */
  id: string;
  setting: SettingId;
  /** What it is a setting of: "Roll", "Port 3, left aileron"; empty for the unit as a whole. */
  about: string;
  /** In the words of the trade: "stick fade". */
  name: string;
  /** Where it stands (RFC 6901), for its range and for what points at it. */
  path: string;
  value: unknown;
  /** The value as it is entered: "100 %", "reversed". */
  words: string;
  /** How it is entered on this unit, where it is not plainly a line of a menu. */
  how?: string;
  /** It is so by itself, by the way the unit is mounted say: there is nothing to enter. */
  isGiven?: true;
  field: Field;
  /** The same value in settings that another unit of the kind has; makes room for it where there is none. */
  write(settings: UnitSettings, value: unknown): void;
}

/** One setting a unit may have. */
export interface Setting {
  id: SettingId;
  /** Its lines, where this unit has it; none where it has not. */
  rows(setup: Setup): Omit<Row, 'setting'>[];
}

export const SETTING_IDS = [
  'wing-type',
  'orientation',
  'channels',
  'outputs',
  'steadied',
  'banks',
  'port-reversal',
  'output-correction',
  'output-maximum',
  'output-sets',
  'output-travel',
  'modes',
  'levelling',
  'direction',
  'gain',
  'second-gain',
  'mode-gain',
  'fade',
  'hold',
  'sensitivity',
  'response',
  'speed-gain',
  'limits',
  'level-offset',
  'pitch-with-power',
  'recovery',
  'failsafe',
  'frame',
] as const;
export type SettingId = (typeof SETTING_IDS)[number];
