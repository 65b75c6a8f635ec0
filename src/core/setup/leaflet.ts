import type { PatchOperation } from '../patch';
import type { Mode } from './lists';
import type { Unit } from './schema/unit';

/*
 * What the person's leaflet calls things, and what they want to be reminded of. Both stand in the unit
 * and go with it to the hangar; patches are relative to the unit.
 */

type Worded = Pick<Unit, 'leaflet' | 'notes'>;

/** Under what name the leaflet’s word for a mode is kept; that of a setting is the setting’s own. */
export const modeKey = (mode: Mode): string => `mode-${mode}`;

export const leafletWord = ({ leaflet }: Pick<Unit, 'leaflet'>, key: string): string | undefined =>
  leaflet?.find((l) => l.setting === key)?.word;

export const stepNote = ({ notes }: Pick<Unit, 'notes'>, step: string): string | undefined =>
  notes?.find((n) => n.step === step)?.note;

/** Another word of the leaflet for something; an empty one takes it back. Nothing where it is the same. */
export function putLeafletWord(unit: Worded, setting: string, text: string): PatchOperation[] {
  const word = text.trim();
  if (word === (leafletWord(unit, setting) ?? '')) return [];
  const others = (unit.leaflet ?? []).filter((l) => l.setting !== setting);
  return listPatch('/leaflet', word ? [...others, { setting, word }] : others);
}

/** Another note to a step; an empty one takes it back. Nothing where it is the same. */
export function putStepNote(unit: Worded, step: string, text: string): PatchOperation[] {
  const note = text.trim();
  if (note === (stepNote(unit, step) ?? '')) return [];
  const others = (unit.notes ?? []).filter((n) => n.step !== step);
  return listPatch('/notes', note ? [...others, { step, note }] : others);
}

/** No empty list stays behind. */
const listPatch = (path: string, value: readonly object[]): PatchOperation[] =>
  value.length > 0 ? [{ op: 'add', path, value }] : [{ op: 'remove', path }];
