export {
  armsOf,
  authority,
  hingeOf,
  idleAxes,
  spanwise,
  type Arms,
  type Authority,
} from './moment';
export { doesWords, movedPart, type Moved } from './moved';
export { placeOf, usualPlace, type Drawn, type Placed } from './place';
export { VARIANTS, type Variant } from './variants';
