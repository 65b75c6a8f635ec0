export * from './chain';
export { USUAL_UNIT, type UnitConstants } from './unit';
export { compileSender, restStimulusOf, type Sender } from './sender';
export {
  resetMemory,
  RESTS_ON,
  type Frame,
  type Layout,
  type Memory,
  type Stimulus,
} from './frame';
export {
  compileCondition,
  placesOf,
  positionWord,
  RELEASED,
  positionsOf,
  switchPosition,
  switchValue,
} from './conditions';
export { longerPulseTurns, servoReachDeg } from './actuators';
export { gangedOf, type Ganged } from './ganged';
export { axisFunction, heldIn, openThrottle, releaseCut, STICK_ASKS, stickOf } from './hands';
export { expo, TRIM_SHARE } from './inputs';
export { workOrder } from './program';
export { lostOf } from './link';
export { outputOf, sendableUs, sentUs, shapeOf, STEPS_PCT, type CompiledOutput } from './outputs';
export { shapeAt } from './lines';
export { carriedChannels } from './link';
export { edgeMm, hornDeg } from '../linkage';
export { pulseUs, shapeOutput } from './outputs';
export {
  beliefMatrix,
  CENTRE_US,
  HALF_TRAVEL_US,
  fadeOf,
  gainOf,
  isSteadied,
  knowsLinkLost,
  edgesWithinUs,
  orderEdgesUs,
  MIXED_AXES,
  mixesItself,
  mixedFunction,
  axisWeights,
  pitchWithThrottleDeg,
  NO_SLOT,
  compileCorner,
  countsIn,
  createEar,
  FOR_LEVEL,
  gesturesOf,
  type Corner,
  type Gesture,
} from './unit';
export { allThrowsOf, throwsOf, type SurfaceThrows, type Throw } from './throws';
export { motorRange, surfaceRange, UNIT_DRIVES, UNIT_STEERS, type OwnedRange } from './owner';
export * from './words';
