import { corrections } from './corrections';
import { gainAsChosen, masterOff } from './gain';
import { gangedTogether } from './ganged';
import { gestureReached } from './gesture';
import { launchLifts } from './launch';
import { levelIsLevel } from './level';
import { linkagesFree } from './linkages';
import { signalLost } from './lost';
import { mixesWork } from './mixes';
import { modeMargins, modesAsChosen, restCalm } from './modes';
import { motorAtRest, motorCut, motorLost, motorLow, throttleRises } from './motor';
import { panicRights } from './panic';
import { REQUIREMENT_IDS, type RequirementId } from './ids';
import type { Requirement } from './requirement';
import { devicesStop } from './running';
import { steeringStops } from './steering';
import { devicesWork, sticksAlone, sticksRight } from './sticks';
import { voiceTrue } from './voice';

export { orderScope, type Requirement } from './requirement';
export { LOST_SCRIPTS, lostAnswer, type Lost } from './lost';
export { BLOCKS } from './modes';
export { panicAnswer, panicScripts, type PanicAnswer } from './panic';

export const REQUIREMENT: Record<RequirementId, Requirement> = {
  'motor-cut': motorCut,
  'motor-low': motorLow,
  'motor-rest': motorAtRest,
  'motor-lost': motorLost,
  throttle: throttleRises,
  sticks: sticksRight,
  'sticks-alone': sticksAlone,
  devices: devicesWork,
  'devices-stop': devicesStop,
  mixes: mixesWork,
  linkages: linkagesFree,
  ganged: gangedTogether,
  'steering-stop': steeringStops,
  corrections: corrections,
  level: levelIsLevel,
  modes: modesAsChosen,
  'mode-margins': modeMargins,
  rest: restCalm,
  gain: gainAsChosen,
  panic: panicRights,
  'link-lost': signalLost,
  launch: launchLifts,
  'master-off': masterOff,
  voice: voiceTrue,
  gesture: gestureReached,
};

/** Every one of them, in order. */
export const REQUIREMENTS: readonly Requirement[] = REQUIREMENT_IDS.map((id) => REQUIREMENT[id]);
