import type { Airframe, Measures } from './schema/airframe';
import { pointer } from './problem';

/** Measures of a model that nobody has taken yet: the usual ones of its kind stand for them. */
export const isAssumed = ({ assumed }: Airframe, measure: keyof Measures): boolean =>
  assumed?.includes(measure) ?? false;

interface Change {
  op: 'add' | 'replace';
  path: string;
  value: unknown;
}

/** A measure as somebody took it, or found it right as it was: from then on it is no assumption. */
export function measureTaken(
  { measures, assumed = [] }: Airframe,
  measure: keyof Measures,
  value: Measures[keyof Measures] = measures[measure],
): Change[] {
  return [
    { op: 'replace', path: pointer('airframe', 'measures', measure), value },
    {
      op: 'add',
      path: pointer('airframe', 'assumed'),
      value: assumed.filter((m) => m !== measure),
    },
  ];
}

/** Every measure found right as it was assumed. */
export const everythingTaken = ({ assumed }: Airframe): Change[] =>
  assumed === undefined ? [] : [{ op: 'replace', path: pointer('airframe', 'assumed'), value: [] }];

/** An airframe whose measures are all its owner's own, or were found right as they were. */
export function measured<A extends Pick<Airframe, 'assumed'>>(airframe: A): Omit<A, 'assumed'> {
  const { assumed: _, ...own } = airframe;
  return own;
}
