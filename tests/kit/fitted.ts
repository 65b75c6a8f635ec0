import { refit } from '@/core/plan';
import { kindOf, parseSetup, type Airframe, type AirframeKind, type Setup } from '@/core/setup';
import { allExpectations } from '@/core/directions';
import { verify } from '@/core/verify';

/** A transmitter that suits a kind of model. */
export const transmitterFor = (kind: AirframeKind) =>
  kindOf({ kind }).onSurface ? 'surface-six' : 'line-sixteen';

/** A model whose plan takes an airframe, as Model does it, from a file of it. */
export function fitted(setup: Setup, airframe: Airframe): Setup {
  const next = refit(setup, { airframe });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  const read = parseSetup(JSON.parse(JSON.stringify(next.setup)));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

/** Stops and cautions, in words. */
export const mattering = (setup: Setup) =>
  verify(setup)
    .filter((f) => f.severity !== 'note')
    .map((f) => `${f.severity} ${f.rule}: ${f.says}`);

/** Each stick with what it moves and where. */
export const sticks = (setup: Setup) =>
  allExpectations(setup)
    .filter((e) => e.check.kind === 'stick')
    .map((e) => `${e.check.axis}: ${e.surface.label} ${e.movement}`);
