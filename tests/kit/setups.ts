import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { allExpectations, predictAll, type Observation } from '@/core/directions';
import { composeSetup } from '@/core/plan';
import type { AirframeKind, Setup } from '@/core/setup';

/** A clean Setup of shipped parts. */
export function makeSetup(
  kind: AirframeKind = 'conventional',
  unit = 'menu-receiver',
  transmitter = 'line-sixteen',
): Setup {
  return composeSetup(
    'Test model',
    buildAirframe(usualAnswers(kind)),
    UNITS[unit]!,
    TRANSMITTERS[transmitter]!,
  );
}

/** What a person with exactly this model on the bench would report. */
export function watch(setup: Setup): Observation[] {
  const predictions = predictAll(setup);
  return allExpectations(setup).map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)!.get(surface.id)!.movement,
  }));
}
