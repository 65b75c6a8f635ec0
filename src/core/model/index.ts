export { DEVICES, deviceOf, devicesOf, type Device } from './devices';
export {
  armsOf,
  authority,
  hingeOf,
  idleAxes,
  spanwise,
  type Arms,
  type Authority,
} from './moment';
export { withLeads } from './leads';
export { isRearWheel, MIX_NAMES, mixOf, oneWayOf, rearTurnsAt } from './mixed';
export { motorArms, motorPlaceOf, movedMotor } from './motors';
export { mirroredPart, newPartsFor, NEW_PARTS, withoutPart, withPart, type NewPart } from './built';
export { doesWords, motorOutWords, movedPart, thrustWords, type Changed } from './moved';
export { placeOf, sweepMm, usualPlace, type Drawn, type Placed } from './place';
export { builtWith, VARIANTS, type Variant } from './variants';
export { USUAL_LINKAGE, USUAL_SERVO } from './usual';
