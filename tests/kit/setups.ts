import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import {
  allExpectations,
  checksFor,
  handsOf,
  pairsOf,
  predictAll,
  type Observation,
} from '@/core/directions';
import { composeSetup } from '@/core/plan';
import { AIRFRAME_KINDS, kindOf, measured, type AirframeKind, type Setup } from '@/core/setup';
import { kept } from './kept';

/** A clean Setup of shipped parts. */
export const makeSetup = kept(
  (
    kind: AirframeKind = 'conventional',
    unit: string = 'menu-receiver',
    transmitter: string = 'line-sixteen',
  ): Setup =>
    composeSetup(
      'Test model',
      measured(buildAirframe(usualAnswers(kind))),
      UNITS[unit]!,
      TRANSMITTERS[transmitter]!,
    ),
);

/** What a person with exactly this model on the bench would report. */
export const watch = (setup: Setup): Observation[] => watchAs(setup, setup);

/**
 * What is seen on a real model that is not as written down, asked about as the written Setup asks.
 * @param extra also of the surfaces that should stay still
 */
export function watchAs(written: Setup, real: Setup, extra = false): Observation[] {
  const predictions = predictAll(real, checksFor(written), handsOf(written));
  return (extra ? pairsOf(written) : allExpectations(written)).map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)?.get(surface.id)?.movement ?? 'centre',
  }));
}

/** Every kind of model that flies. */
export const FLYING_KINDS = AIRFRAME_KINDS.filter((kind) => kindOf({ kind }).moves === 'air');
