import type { PatchOperation } from '../patch';
import type { MenuItem, Mode } from './lists';
import type { Transmitter } from './schema/transmitter';
import type { Unit, UnitTraits } from './schema/unit';

/*
 * What the person's leaflet calls things, and what they want to be reminded of. It stands in the unit or
 * in the transmitter and goes with it to the hangar; patches are relative to it.
 */

type Worded = Pick<Unit, 'leaflet' | 'notes'>;

/** Under what name the leaflet’s word for a mode is kept; that of a setting is the setting’s own. */
export const modeKey = (mode: Mode): string => `mode-${mode}`;
/** The same for a way of teaching it, and for what its light shows in a mode. */
export const gestureKey = (way: UnitTraits['captureGestures'][number] | 'level'): string =>
  `gesture-${way}`;
export const lightKey = (mode: Mode): string => `light-${mode}`;

/** The person’s own word first, ours behind it; ours alone where there is none. */
export const withOwn = (own: string | undefined, ours: string): string =>
  own ? `“${own}” (${ours})` : ours;

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

/** What the person’s transmitter calls a menu or a field of it. */
export const menuWord = ({ menu }: Pick<Transmitter, 'menu'>, item: MenuItem): string | undefined =>
  menu?.find((m) => m.item === item)?.word;

/** Another word of the transmitter for a menu; an empty one takes it back. Nothing where it is the same. */
export function putMenuWord(
  transmitter: Pick<Transmitter, 'menu'>,
  item: MenuItem,
  text: string,
): PatchOperation[] {
  const word = text.trim();
  if (word === (menuWord(transmitter, item) ?? '')) return [];
  const others = (transmitter.menu ?? []).filter((m) => m.item !== item);
  return listPatch('/menu', word ? [...others, { item, word }] : others);
}

/** No empty list stays behind. */
const listPatch = (path: string, value: readonly object[]): PatchOperation[] =>
  value.length > 0 ? [{ op: 'add', path, value }] : [{ op: 'remove', path }];
