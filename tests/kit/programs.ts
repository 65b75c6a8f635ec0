import { READY_IDS, readyMade } from '@/core/catalogue/ready';
import type { Setup } from '@/core/setup';
import { LAKE_HOLLOW } from './lake-hollow';

/** Every program that is shipped, and every one of the demo club as it stands now. */
export const PROGRAMS: readonly (readonly [name: string, setup: Setup])[] = [
  ...READY_IDS.map((id) => [id, readyMade(id, id)] as const),
  ...LAKE_HOLLOW.map((make) => {
    const { setup } = make().versions.at(-1)!;
    return [setup.name, setup] as const;
  }),
];
