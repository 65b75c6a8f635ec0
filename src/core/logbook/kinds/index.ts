import type { About } from '../subject';
import { direction } from './direction';
import type { EvidenceKind } from './kind';
import { reading } from './reading';
import { test } from './test';

/** Every kind of evidence there is; a new one is a folder, a name in `subject.ts` and a line here. */
const KINDS: { [K in About['kind']]: EvidenceKind<K> } = { direction, reading, test };

/** The kind of a piece of evidence, to be asked about it. */
export const kindOfEvidence = (about: About): EvidenceKind<About['kind']> =>
  KINDS[about.kind] as EvidenceKind<About['kind']>;
