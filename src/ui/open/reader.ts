import { claimed } from '@/core/plan';
import { parseSetup, rangeAt } from '@/core/setup';

/*
 * What reads a changed Setup before it is shown: the schema with its ranges, its references, and whose
 * the changed entries are. Large, so that it is fetched when the page already stands.
 */
export const reader = { parse: parseSetup, claimed, rangeAt };
export type Reader = typeof reader;
