import type { Setup } from '../setup';
import type { Finding } from './finding';
import type { Rule } from './rule';
import { judged } from './judge';
import { offered } from './offer';
import { REQUIREMENTS } from './requirements';
import { asChosen } from './rules/as-chosen';
import { bandEdge } from './rules/band-edge';
import { brush } from './rules/brush';
import { bumpedGain } from './rules/bumped-gain';
import { steeringStop } from './rules/steering-stop';
import { gainCrossing, gainMapping } from './rules/gain-mapping';
import { idlePosition } from './rules/idle-position';
import { launchElevator } from './rules/launch-elevator';
import { looksLike } from './rules/looks-like';
import { linkLost } from './rules/link-lost';
import { lowRateFade } from './rules/low-rate-fade';
import { modeOrder } from './rules/mode-order';
import { noOff } from './rules/no-off';
import { otherVersion } from './rules/other-version';
import { panicBank } from './rules/panic-bank';
import { panicGain } from './rules/panic-gain';
import { panicHole } from './rules/panic-hole';
import { restMode } from './rules/rest-mode';
import { rudderHold } from './rules/rudder-hold';
import { stickCorner } from './rules/stick-corner';
import { tooMany } from './rules/too-many';
import { centreMoved, travelMoved } from './rules/centre-moved';
import { channelOrder } from './rules/channel-order';
import { bothReversed, correctionReversed, stickReversed } from './rules/directions';
import { gainLeadOut } from './rules/gain-lead-out';
import { givenTwice } from './rules/given-twice';
import { levelCaptured } from './rules/level-captured';
import { neverArms } from './rules/never-arms';
import { toldOtherwise } from './rules/told-otherwise';
import { impossibleMounting } from './rules/impossible-mounting';
import { noThrottleCut, throttleReversed } from './rules/live-motor';
import { missingChannel } from './rules/missing-channel';
import { mixedTwice } from './rules/mixed-twice';
import { secondHand } from './rules/second-hand';
import { shortLink } from './rules/short-link';
import { skewed } from './rules/skewed';
import { skippedMode } from './rules/skipped-mode';
import { slowServo } from './rules/slow-servo';
import { stabilizedFlaps } from './rules/stabilized-flaps';

export type { About, Failure, Finding, Remedy, Severity, Witness, WitnessStep } from './finding';
export type { Rule } from './rule';
export * from './explore';
export * from './proof';
export { REQUIREMENTS, type PanicAnswer, type Requirement } from './requirements';
export { witnessOf } from './witness';

/** Every rule; a new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  correctionReversed,
  stickReversed,
  bothReversed,
  mixedTwice,
  channelOrder,
  stabilizedFlaps,
  slowServo,
  impossibleMounting,
  toldOtherwise,
  levelCaptured,
  neverArms,
  skippedMode,
  missingChannel,
  shortLink,
  throttleReversed,
  noThrottleCut,
  givenTwice,
  gainLeadOut,
  centreMoved,
  travelMoved,
  skewed,
  secondHand,
  restMode,
  modeOrder,
  idlePosition,
  gainMapping,
  gainCrossing,
  panicGain,
  panicHole,
  panicBank,
  linkLost,
  noOff,
  bandEdge,
  lowRateFade,
  launchElevator,
  brush,
  rudderHold,
  stickCorner,
  bumpedGain,
  steeringStop,
  otherVersion,
  asChosen,
  looksLike,
  tooMany,
];

const known = new WeakMap<Setup, Finding[]>();

/**
 * All findings, worst first, each with the repairs that pass the door. Setups are immutable.
 * @param onTry told before each repair is tried: a sign of life
 */
export function verify(setup: Setup, onTry?: () => void): Finding[] {
  const found = known.get(setup) ?? offered(setup, judged(setup, RULES), RULES, onTry);
  known.set(setup, found);
  return found;
}

/** The same without repairs, for lists that only count: nothing is tried. */
export const findingsOf = (setup: Setup): Finding[] => judged(setup, RULES);

/** What a finding stands for, by its id: a mistake of the table, or a requirement nothing explains. */
export function reasonOf(id: string): { title: string; why: string } {
  const rule = RULES.find((r) => r.id === id);
  if (rule) return rule;
  const requirement = REQUIREMENTS.find((r) => r.id === id);
  return requirement ? { title: requirement.title, why: requirement.must } : { title: id, why: '' };
}
