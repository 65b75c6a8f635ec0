import {
  buildAirframe,
  TRANSMITTERS,
  UNITS,
  usualAnswers,
  type AirframeAnswers,
} from '../core/catalogue';
import { builtWith as withVariants } from '../core/model';
import { choose, composeSetup, type Choice } from '../core/plan';
import {
  parseSetup,
  type Airframe,
  type AirframeKind,
  type Setup,
  type Transmitter,
  type Unit,
  type UnitSettings,
  type UnitTraits,
  measured,
} from '../core/setup';

/*
 * Models made as they are made in the application: from parts, planned, then chosen one by one.
 */

/** A unit that ships, with some traits and settings of its own. */
export function unitLike(
  id: keyof typeof UNITS,
  traits: Partial<UnitTraits>,
  settings: Partial<UnitSettings> = {},
): Unit {
  const unit = structuredClone(UNITS[id]!);
  return {
    ...unit,
    traits: { ...unit.traits, ...traits },
    settings: { ...unit.settings, ...settings },
  };
}

export function transmitterLike(
  id: keyof typeof TRANSMITTERS,
  more: Partial<Transmitter> = {},
): Transmitter {
  return { ...structuredClone(TRANSMITTERS[id]!), ...more };
}

export const airframe = (kind: AirframeKind, more: Partial<AirframeAnswers> = {}) =>
  measured(buildAirframe({ ...usualAnswers(kind), ...more }));

/** The same built differently, as it is ticked at Model. */
export const builtWith = (plain: Airframe, ...ids: string[]): Airframe => withVariants(plain, ids);

/** The same with measures of its own. */
export const sized = (plain: Airframe, measures: Partial<Airframe['measures']>): Airframe => ({
  ...plain,
  measures: { ...plain.measures, ...measures },
});

export { withLeads } from '../core/model';

/** Planned from its parts, then chosen one by one as at the Program station, everything along. */
export function planned(
  name: string,
  parts: { airframe: Setup['airframe']; unit: Unit; transmitter: Transmitter },
  ...choices: Choice[]
): Setup {
  let setup = composeSetup(name, parts.airframe, parts.unit, parts.transmitter);
  if (setup.program.outputs.length === 0) throw new Error(`${name} cannot be planned`);
  setup.installation.unitHardware = '2';
  setup.installation.unitFirmware = '1.4';
  setup.installation.transmitterFirmware = '2.10';
  for (const choice of choices) setup = chosen(setup, choice);
  return checked(setup);
}

export function chosen(setup: Setup, choice: Choice): Setup {
  const next = choose(setup, choice, 'all');
  if (!next.ok) throw new Error(`${choice.wish}: ${next.reasons.join('; ')}`);
  return next.setup;
}

export function checked(setup: Setup): Setup {
  const read = parseSetup(setup);
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return read.value;
}
