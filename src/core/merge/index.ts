export { differingParts, merged, origin, type Differing } from './merge';
