import { allExpectations, crossExpectations, pairsOf, predictAll } from '../../../directions';
import type { Data } from '../../../script';
import type { Setup } from '../../../setup';
import type { EvidenceKind } from '../kind';
import { partsOfDirection } from './parts';

const MOVEMENTS: readonly string[] = ['up', 'down', 'left', 'right', 'centre'];
const nameOf = (check: string, surface: string) => `${check} ${surface}`;

/** Where a surface went when a stick or the model was moved. */
export const direction: EvidenceKind<'direction'> = {
  asked: (setup, { check, surface }) => askedOf(setup).get(nameOf(check, surface)),
  // A surface that is asked about only where something else did not move may be answered all the same.
  isKnown: (setup, { check, surface }) =>
    pairsOf(setup).some((e) => e.check.id === check && e.surface.id === surface),
  takes: (seen) => MOVEMENTS.includes(seen),
  parts: partsOfDirection,
  sharing: ({ check, surface }) => nameOf(check, surface),
};

const known = new WeakMap<Setup, Map<string, Data>>();

/** Every movement that must be seen: how it is brought about, what must be seen, what the chain says. */
function askedOf(setup: Setup): Map<string, Data> {
  const before = known.get(setup);
  if (before) return before;
  const predictions = predictAll(setup);
  const asked = new Map<string, Data>(
    [...allExpectations(setup), ...crossExpectations(setup)].map(({ check, surface, movement }) => [
      nameOf(check.id, surface.id),
      [
        [check.kind, check.axis, check.sense, check.way],
        movement,
        predictions.get(check.id)?.get(surface.id)?.movement ?? null,
      ],
    ]),
  );
  known.set(setup, asked);
  return asked;
}
