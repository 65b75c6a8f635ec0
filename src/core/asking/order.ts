import type { Diagnosis, Expectation } from '../directions';
import type { Observed } from '../logbook';

/** What one surface in one movement is known by. */
export const nameOfLook = ({ check, surface }: Expectation): string => `${check.id} ${surface.id}`;

/** Surfaces that should stay still, as far as their answer would tell something or was already given. */
export function wantedElsewhere(
  elsewhere: readonly Observed[],
  { lookNext }: Diagnosis,
  said: readonly string[],
): Observed[] {
  const wanted = new Set([
    ...lookNext.slice(0, 1).flatMap((l) => l.surfaces.map(nameOfLook)),
    ...said,
  ]);
  return elsewhere.filter(
    (o) =>
      wanted.has(nameOfLook(o.expectation)) ||
      o.status === 'stop' ||
      (o.status === 'proven' && o.expectation.check.kind === 'correction'),
  );
}

/** Other modes last; surfaces of one movement together. */
export function inTurn(observed: readonly Observed[]): Observed[] {
  const rank = ({ check, sign }: Expectation) => (check.again ? 2 : 0) + (sign === 0 ? 1 : 0);
  return observed.toSorted((a, b) => rank(a.expectation) - rank(b.expectation));
}
