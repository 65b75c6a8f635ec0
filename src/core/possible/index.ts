import { groundOf, type Setup } from '../setup';
import { grounded } from './assume';
import type { Facet, PossibleTrait } from './facet';
import { arming } from './traits/arming';
import { fade } from './traits/fade';
import { fullStick } from './traits/full-stick';
import { gainLaw } from './traits/gain-law';
import { gainLead } from './traits/gain-lead';
import { levelCapture } from './traits/level-capture';
import { lights } from './traits/lights';
import { modeEdges } from './traits/mode-edges';
import { ownMix } from './traits/own-mix';
import { senses } from './traits/senses';
import { signalLost } from './traits/signal-lost';
import { slots } from './traits/slots';
import { twitches } from './traits/twitches';
import { wingType } from './traits/wing-type';

export { withValues, type Facet, type PossibleTrait, type Value } from './facet';
export { apart, behaveAlike } from './alike';
export { grounded } from './assume';

/** What is often not known of a unit, the most telling first. A new one is a file and a line here. */
export const POSSIBLE: readonly PossibleTrait[] = [
  arming,
  slots,
  modeEdges,
  gainLaw,
  gainLead,
  senses,
  wingType,
  ownMix,
  fade,
  fullStick,
  signalLost,
  lights,
  twitches,
  levelCapture,
];

/** Everything that may be otherwise with the unit of a Setup. */
export const facetsOf = (setup: Setup): Facet[] => POSSIBLE.flatMap((trait) => trait.facets(setup));

/** The same Setup where nobody has anything in writing about its unit: what may be otherwise is only assumed. */
export const withoutLeaflet = (setup: Setup): Setup => grounded(setup, facetsOf(setup), 'assumed');

/** What is only assumed of it: what the proof may not take for granted. */
export const openFacets = (setup: Setup): Facet[] =>
  facetsOf(setup).filter(({ of }) => groundOf(setup.unit, of) === 'assumed');
