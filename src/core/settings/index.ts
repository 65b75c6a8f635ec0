import { capital, leafletWord, type Setup } from '../setup';
import { direction, fade, gain, hold, modeGain, secondGain } from './axes';
import {
  channels,
  outputCorrection,
  outputMaximum,
  outputSets,
  outputTravel,
  outputs,
  portReversal,
  steadied,
} from './outputs';
import { SETTING_IDS, type Row, type Setting, type SettingId } from './setting';
import { shippedUnit } from './shipped';
import { banks } from './banks';
import { frame } from './frame';
import { levelOffset, levelling, limits } from './level';
import { modes } from './modes';
import { orientation } from './orientation';
import { pitchWithPower } from './pitch-with-power';
import { failsafe, recovery } from './rescue';
import { response, sensitivity, speedGain } from './strength';
import { wingType } from './wing-type';

export { LIMIT_WORDS, LIMITS } from './level';
export { meansOf, type Means } from './means';
export { onReceiver } from './outputs';
export { shippedUnit } from './shipped';
export { SETTING_IDS, type Field, type Row, type Setting, type SettingId } from './setting';

/** Every setting there is, in the order they are entered. A new one is a file or a row and a line here. */
const TABLE: Record<SettingId, Setting> = {
  'wing-type': wingType,
  orientation,
  channels,
  outputs,
  steadied,
  banks,
  'port-reversal': portReversal,
  'output-correction': outputCorrection,
  'output-maximum': outputMaximum,
  'output-sets': outputSets,
  'output-travel': outputTravel,
  modes,
  levelling,
  direction,
  gain,
  'second-gain': secondGain,
  'mode-gain': modeGain,
  fade,
  hold,
  sensitivity,
  response,
  'speed-gain': speedGain,
  limits,
  'level-offset': levelOffset,
  'pitch-with-power': pitchWithPower,
  recovery,
  failsafe,
  frame,
};

const known = new WeakMap<Setup, readonly Row[]>();

/** Every line of this unit's settings, as it stands. Worked out once: Setups are immutable. */
export function settingRows(setup: Setup): readonly Row[] {
  const rows =
    known.get(setup) ??
    SETTING_IDS.flatMap((id) => TABLE[id].rows(setup).map((row) => ({ ...row, setting: id })));
  known.set(setup, rows);
  return rows;
}

/**
 * What each line stands at when the unit is new or has been reset, by line id. A line that such a unit
 * does not have yet is missing.
 */
export const shippedRows = (setup: Setup): ReadonlyMap<string, Row> =>
  new Map(
    settingRows({ ...setup, unit: shippedUnit(setup.unit) }).map((row) => [row.id, row] as const),
  );

/** Lines that are entered together: of one axis, one output, one thing. */
export interface RowGroup {
  id: string;
  /** "Roll", "Port 3, left aileron", "Wing type" */
  title: string;
  rows: Row[];
}

/** The lines as they are entered, those about the same thing together, in the order they are met. */
export function settingGroups(setup: Setup): RowGroup[] {
  const groups = new Map<string, RowGroup>();
  for (const row of settingRows(setup)) {
    const title = row.about || capital(row.name);
    const key = row.about ? row.about : row.id;
    const group = groups.get(key) ?? { id: idOf(key), title, rows: [] };
    group.rows.push(row);
    groups.set(key, group);
  }
  return [...groups.values()];
}

const idOf = (key: string): string =>
  key
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40);

/** "correction reversed (with the small switch for roll), gain 25 %" */
export const groupWords = ({ unit }: Setup, { rows }: RowGroup): string =>
  rows
    .map((row) => {
      const name = row.about ? `${row.name} ` : '';
      const leaflet = leafletWord(unit, row.setting);
      const notes = [row.how, leaflet && `in your leaflet: “${leaflet}”`].filter(Boolean);
      return `${name}${row.words}${notes.length > 0 ? ` (${notes.join('; ')})` : ''}`;
    })
    .join(', ');
