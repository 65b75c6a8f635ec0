import { ask } from './judge';
import type { Workshop } from './workshop';

/** As many as there are threads for those who wait: each of them is slow only once. */
const MOST = 2;

/**
 * Proves the models changed last before anybody opens one. The first proof of a thread takes seconds, later ones some
 * fifty milliseconds. What cannot be proved is said where it is asked for, not here.
 * @returns the names of the models proved
 */
export async function warmUp({ shelf, models }: Workshop): Promise<string[]> {
  const proved = await Promise.allSettled(
    shelf.heads('', MOST).map(async ({ id, name, version }) => {
      await ask('verdict', models.version(id, version)!.setup);
      return name;
    }),
  );
  return proved.flatMap((p) => (p.status === 'fulfilled' ? [p.value] : []));
}
