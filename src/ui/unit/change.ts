import type { PatchOperation } from '@/core/patch';
import type { Problem } from '@/core/setup';

/** Changes something in the unit at hand; paths start at the unit. */
export type ChangeUnit = (patch: readonly PatchOperation[], label: string) => Problem[];
