import type { PatchOperation } from '@/core/patch';
import type { Problem } from '@/core/setup';

/** Changes something in the transmitter at hand; paths start at the transmitter. */
export type ChangeTransmitter = (patch: readonly PatchOperation[], label: string) => Problem[];
