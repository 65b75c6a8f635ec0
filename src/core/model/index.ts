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
export { isRearAxle, MIX_NAMES, mixOf, oneWayOf, rearTurnsAt } from './mixed';
export { motorArms, motorPlaceOf } from './motors';
export { doesWords, movedPart, type Moved } from './moved';
export { placeOf, usualPlace, type Drawn, type Placed } from './place';
export { VARIANTS, type Variant } from './variants';
