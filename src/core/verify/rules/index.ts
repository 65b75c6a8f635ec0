import type { Rule } from '../rule';
import { asChosen } from './as-chosen';
import { bandEdge } from './band-edge';
import { brush } from './brush';
import { bumpedGain } from './bumped-gain';
import { steeringStop } from './steering-stop';
import { gainCrossing, gainMapping } from './gain-mapping';
import { idlePosition } from './idle-position';
import { launchElevator } from './launch-elevator';
import { looksLike } from './looks-like';
import { linkLost } from './link-lost';
import { lowRateFade } from './low-rate-fade';
import { modeOrder } from './mode-order';
import { noOff } from './no-off';
import { otherVersion } from './other-version';
import { panicBank } from './panic-bank';
import { panicGain } from './panic-gain';
import { panicHole } from './panic-hole';
import { restMode } from './rest-mode';
import { rudderHold } from './rudder-hold';
import { stickCorner } from './stick-corner';
import { tooMany } from './too-many';
import { centreMoved, travelMoved } from './centre-moved';
import { channelOrder } from './channel-order';
import { bothReversed, correctionReversed, stickReversed } from './directions';
import { gainLeadOut } from './gain-lead-out';
import { givenTwice } from './given-twice';
import { levelCaptured } from './level-captured';
import { neverArms } from './never-arms';
import { toldOtherwise } from './told-otherwise';
import { impossibleMounting } from './impossible-mounting';
import { noThrottleCut, throttleReversed } from './live-motor';
import { missingChannel } from './missing-channel';
import { mixedTwice } from './mixed-twice';
import { secondHand } from './second-hand';
import { shortLink } from './short-link';
import { skewed } from './skewed';
import { skippedMode } from './skipped-mode';
import { slowServo } from './slow-servo';
import { stabilizedFlaps } from './stabilized-flaps';

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
