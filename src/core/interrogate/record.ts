import type { KnownFact, Told } from './ask';
import { saysNothing } from './experiment';

/** A line of the logbook holds no more than this. */
const MOST = 900;

/** What was asked and found, as a line for the logbook. */
export function recordOf(
  facts: readonly KnownFact[],
  told: readonly Told[],
): { title: string; seen: string } {
  const seen = facts.filter((f) => f.by === 'seen');
  const words = seen.map(
    ({ facet, values }) => facet.values.find((v) => v.key === values[0])!.words,
  );
  const unsure = told.filter(({ answer }) => saysNothing(answer)).length;
  const all = [...words, ...(unsure > 0 ? [`${unsure} not seen clearly`] : [])].join('; ');
  return {
    title: `Asked the unit: ${seen.length} ${seen.length === 1 ? 'fact' : 'facts'} seen in ${told.length} experiments`,
    seen: all.length > MOST ? `${all.slice(0, MOST)} …` : all,
  };
}
