export {
  ESTIMATES,
  CENTRAL,
  drawOf,
  DrawSchema,
  type Draw,
  type Estimate,
  type EstimateId,
} from './spread';
export { inertiaOf } from './inertia';
export { FINITE, finiteShare, helmbold, SECTION_SLOPE } from './lift';
export { flapOf, type FlapEffect } from './flap';
export { dragOf } from './drag';
export { fuselageOf } from './fuselage';
export { thrustOf, type Thrust } from './thrust';
export { unitOf } from './unit';
export { streamMps, streamRadiusM } from './propeller';
