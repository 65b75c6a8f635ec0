import { RULE_IDS, type RuleId } from './ids';
import type { Rule } from '../rule';
import { asChosen } from './as-chosen';
import { bandEdge } from './band-edge';
import { brush } from './brush';
import { bumpedGain } from './bumped-gain';
import { steeringStop } from './steering-stop';
import { gainCrossing, gainMapping } from './gain-mapping';
import { idlePosition } from './idle-position';
import { launchElevator } from './launch-elevator';
import { gangedApart } from './ganged';
import { gestureFlicked } from './gesture-flicked';
import { gestureUnheard } from './gesture-unheard';
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

export const RULE: Record<RuleId, Rule> = {
  M3: correctionReversed,
  M4: stickReversed,
  M5: bothReversed,
  M6: mixedTwice,
  M7: channelOrder,
  M14: stabilizedFlaps,
  frame: slowServo,
  M19: impossibleMounting,
  M18: toldOtherwise,
  M21: levelCaptured,
  M32: neverArms,
  M24: skippedMode,
  M25: missingChannel,
  M26: shortLink,
  M29: throttleReversed,
  M42: noThrottleCut,
  M46: givenTwice,
  M47: gainLeadOut,
  M15: centreMoved,
  M16: travelMoved,
  M20: skewed,
  M27: secondHand,
  M1: restMode,
  M2: modeOrder,
  M37: idlePosition,
  M8: gainMapping,
  M9: gainCrossing,
  M10: panicGain,
  M11: panicHole,
  M12: panicBank,
  M13: linkLost,
  M50: noOff,
  M49: bandEdge,
  M48: lowRateFade,
  M38: launchElevator,
  M39: brush,
  M33: rudderHold,
  M30: stickCorner,
  'gesture-unheard': gestureUnheard,
  'gesture-flicked': gestureFlicked,
  M23: bumpedGain,
  M35: steeringStop,
  ganged: gangedApart,
  M36: otherVersion,
  'as-chosen': asChosen,
  'looks-like': looksLike,
  proof: tooMany,
};

/** Every one of them, in order. */
export const RULES: readonly Rule[] = RULE_IDS.map((id) => RULE[id]);
