import { corrections } from './corrections';
import { gainAsWished, masterOff } from './gain';
import { gestureReached } from './gesture';
import { launchLifts } from './launch';
import { linkLost } from './lost';
import { modeMargins, modesAsWished, restCalm } from './modes';
import { motorAtRest, motorCut, motorLost, motorLow } from './motor';
import { panicRights } from './panic';
import type { Requirement } from './requirement';
import { steeringStops } from './steering';
import { voiceTrue } from './voice';
import { devicesWork, linkagesFree, sticksAlone, sticksRight } from './sticks';

export type { Requirement } from './requirement';
export { offPositions } from './gain';
export { lostOf, type Lost } from './lost';
export { BLOCKS } from './modes';
export { panicOf, type PanicAnswer } from './panic';

/** Everything that must be true. A new requirement is a file and a line here. */
export const REQUIREMENTS: readonly Requirement[] = [
  motorCut,
  motorLow,
  motorAtRest,
  motorLost,
  sticksRight,
  sticksAlone,
  devicesWork,
  linkagesFree,
  steeringStops,
  corrections,
  modesAsWished,
  modeMargins,
  restCalm,
  gainAsWished,
  panicRights,
  linkLost,
  launchLifts,
  masterOff,
  voiceTrue,
  gestureReached,
];
