import { grounded, withValues } from '../possible';
import type { Setup } from '../setup';
import type { KnownFact } from './ask';

/**
 * The Setup with everything in it that is known now: values as they were found, their lines marked as seen. Facts of
 * which more than one value is left stay as they are described.
 */
export function found(setup: Setup, facts: readonly KnownFact[]): Setup {
  const known = facts.filter((f) => f.by === 'seen');
  const next = withValues(
    setup,
    known.flatMap(({ facet, values }) =>
      values[0] === facet.now ? [] : facet.values.filter((v) => v.key === values[0]),
    ),
  );
  // One line may say several facts: it is seen once all of them are.
  const seen = known.filter(({ facet: { of } }) =>
    facts.every((f) => f.facet.of.join() !== of.join() || f.by === 'seen'),
  );
  return grounded(
    next,
    seen.map(({ facet }) => facet),
    'seen',
  );
}
