import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { composeSetup, planChannels } from '@/core/plan';
import { AIRFRAME_KINDS, parseSetup, type Part, type Setup } from '@/core/setup';

/**
 * A model to try a part on: the first kind of airframe, and the first shipped other half, that it
 * suits. Undefined when it suits none.
 */
export function previewFor(part: Part): Setup | undefined {
  const units = part.kind === 'unit' ? [part.body] : Object.values(UNITS);
  const transmitters = part.kind === 'transmitter' ? [part.body] : Object.values(TRANSMITTERS);
  for (const kind of AIRFRAME_KINDS)
    for (const unit of units)
      for (const transmitter of transmitters) {
        const airframe = buildAirframe(usualAnswers(kind));
        const plan = planChannels({ airframe, unit, transmitter, wishes: [], pins: [] });
        if (plan.impossible.length > 0) continue;
        const setup = composeSetup(
          `${part.body.name} on the bench`.slice(0, 80),
          airframe,
          unit,
          transmitter,
        );
        const valid = parseSetup(setup);
        if (valid.ok) return valid.value;
      }
  return undefined;
}
