import type { Setup } from '../setup';
import type { Finding, Rule } from './finding';
import { bandEdge } from './rules/band-edge';
import { brush } from './rules/brush';
import { bumpedGain } from './rules/bumped-gain';
import { gainCrossing, gainMapping } from './rules/gain-mapping';
import { idlePosition } from './rules/idle-position';
import { launchElevator } from './rules/launch-elevator';
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
import { stabilizedFlaps } from './rules/stabilized-flaps';

export type { Finding, Remedy, Rule, Severity, Witness, WitnessStep } from './finding';
export * from './explore';
export { rowWords, witnessOf } from './witness';

/** Every rule; a new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  correctionReversed,
  stickReversed,
  bothReversed,
  mixedTwice,
  channelOrder,
  stabilizedFlaps,
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
  otherVersion,
  tooMany,
];

const ORDER = ['stop', 'caution', 'note'];

/** All findings, worst first. */
export function verify(setup: Setup): Finding[] {
  return RULES.flatMap((rule) =>
    rule.check(setup).map((found): Finding => ({ ...found, rule: rule.id })),
  ).toSorted((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
}
