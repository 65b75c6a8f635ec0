import type { Setup } from '../../setup';
import { mixingRemedy, otherMixing } from './mixing';
import { mountingRemedy, otherMountings } from './mounting';
import { missingPlugs, plugRemedy, swappedPlugs } from './plugs';
import { silenceRemedy, silences } from './silence';
import type { StructuralRemedy, Structure } from './structure';

export { replaced, type StructuralRemedy, type Structure } from './structure';

/**
 * Every way the real model could be built or set otherwise than written, reversals apart: none,
 * one thing, or a turned unit together with two plugs changed over.
 */
export function structuresOf(setup: Setup): Structure[][] {
  const mountings = otherMountings(setup);
  const swaps = swappedPlugs(setup);
  return [
    [],
    ...[...mountings, ...swaps, ...otherMixing(setup), ...missingPlugs(setup)].map((s) => [s]),
    ...silences(setup).map((s) => [s]),
    ...mountings.flatMap((m) => swaps.map((s) => [m, s])),
  ];
}

/** What to do on a model that is known to be like this, beside reversing things. */
export const structuralRemedies = (written: Setup, known: Setup): StructuralRemedy[] => [
  ...plugRemedy(written, known),
  ...mountingRemedy(known),
  ...mixingRemedy(written, known),
  ...silenceRemedy(written, known),
];
