import { LAKE_HOLLOW as made } from '@/demo/lake-hollow';
import { kept } from './kept';

/** The demo models, each made once for all tests. */
export const LAKE_HOLLOW = made.map(kept);

/** Their newest Setups. */
export const newestSetups = () => LAKE_HOLLOW.map((make) => make().versions.at(-1)!.setup);
