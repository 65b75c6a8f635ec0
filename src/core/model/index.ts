export { DEVICES, deviceOf, devicesOf, type Device } from './devices';
export {
  armsOf,
  authority,
  hingeOf,
  idleAxes,
  pushOf,
  spanwise,
  type Arms,
  type Authority,
  type Vector,
} from './moment';
export { withLeads } from './leads';
export { isRearWheel, MIX_NAMES, mixOf, oneWayOf, rearTurnsAt } from './mixed';
export { motorArms, motorPlaceOf, movedMotor, thrustLine } from './motors';
export { withPart } from './added';
export { busy, MOST_GANGED, withGang, withoutServo, withServo } from './ganged';
export { mirroredPart } from './mirrored';
export { newPartsFor, NEW_PARTS, type NewPart } from './new-parts';
export { withoutPart } from './removed';
export { doesWords, motorOutWords, movedPart, thrustWords, type Changed } from './moved';
export { isOnWing, placeOf, sweepMm, usualPlace, type Drawn, type Placed } from './place';
export { builtWith, VARIANTS, type Variant } from './variants';
export { USUAL_LINKAGE, USUAL_SERVO } from './usual';
