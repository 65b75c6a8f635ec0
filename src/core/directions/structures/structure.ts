import type { PatchOperation } from '../../patch';
import type { Place } from '../atoms';
import type { Circumstances } from '../predict';

/**
 * Something other than a reversal that makes surfaces answer otherwise than written: how the unit
 * is fixed, which plug is where, what is mixed, or why nothing moves. A fact about the real model.
 */
export interface Structure {
  id: string;
  place: Place;
  title: string;
  why: string;
  cost: number;
  patch: PatchOperation[];
  /** Set where it is no fact to write down but a state that passes: what to do, then look again. */
  act?: string;
  circumstances?: Circumstances;
  /** Not thought of before the corrections of two axes were seen in full. */
  needsMore?: true;
}

/** What is to be done about a structure once it is known. */
export type StructuralRemedy = Pick<Structure, 'id' | 'place' | 'title' | 'why' | 'patch'>;

export const replaced = (path: string, value: unknown): PatchOperation[] => [
  { op: 'replace', path, value },
];
