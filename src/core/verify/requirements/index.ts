import { corrections } from './corrections';
import { gainAsChosen, masterOff } from './gain';
import { gestureReached } from './gesture';
import { launchLifts } from './launch';
import { levelIsLevel } from './level';
import { signalLost } from './lost';
import { modeMargins, modesAsChosen, restCalm } from './modes';
import { motorAtRest, motorCut, motorLost, motorLow, throttleRises } from './motor';
import { panicRights } from './panic';
import type { Requirement } from './requirement';
import { steeringStops } from './steering';
import { devicesWork, linkagesFree, sticksAlone, sticksRight } from './sticks';
import { voiceTrue } from './voice';

export { orderScope, type Requirement } from './requirement';
export { LOST_SCRIPTS, lostAnswer, type Lost } from './lost';
export { BLOCKS } from './modes';
export { panicAnswer, panicScripts, type PanicAnswer } from './panic';

/** Everything that must be true. A new requirement is a file and a line here. */
export const REQUIREMENTS: readonly Requirement[] = [
  motorCut,
  motorLow,
  motorAtRest,
  motorLost,
  throttleRises,
  sticksRight,
  sticksAlone,
  devicesWork,
  linkagesFree,
  steeringStops,
  corrections,
  levelIsLevel,
  modesAsChosen,
  modeMargins,
  restCalm,
  gainAsChosen,
  panicRights,
  signalLost,
  launchLifts,
  masterOff,
  voiceTrue,
  gestureReached,
];
