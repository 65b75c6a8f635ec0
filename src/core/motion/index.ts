export { takeOver, type ByHand, type TakenOver } from './by-hand';
export { ESTIMATES, CENTRAL, drawOf, type Draw, type EstimateId } from './estimates';
export { footprintOf, footprintWords, LOST_IN, type Landing, type LostIn } from './footprint';
export { launchesOf, thrownWords, type Thrown } from './launches';
export { levelHands, levelOffBy, type Drift, type LevelHands, type LevelOff } from './levelled';
export { halfTimeS, linearized, polesOf, type Pole } from './linear';
export { ownMotionWords, ownMotions } from './own';
export {
  ending,
  recovering,
  settling,
  tracking,
  type Ending,
  type Point,
  type Recovery,
  type Settled,
} from './observers';
export {
  ATTITUDES,
  panicMap,
  panicMapWords,
  panicScenario,
  panicStates,
  type PanicCell,
  type PanicMap,
  type PanicState,
} from './panic-map';
export {
  BATCH,
  begin,
  play,
  readyToFly,
  touchesM,
  STEPS,
  type Flight,
  type Steps,
  type Moment,
  type Observer,
  type Pilot,
} from './runner';
export { happensAtS, readScenario, scenario, ScenarioSchema, type Scenario } from './scenario';
export { endedWell, fly, shownOf, storyWords, turnedWords, type Flown, type Shown } from './shown';
export { SHOWN_IN, situationFor } from './shown-in';
export {
  flies,
  SITUATION_IDS,
  SITUATIONS,
  situationOf,
  usualSituations,
  type SituationId,
} from './situations';
export { attitudeOf } from './state';
export {
  motionFile,
  MOTION_FORMAT,
  MOTION_VERSION,
  readMotion,
  sameOutcome,
  type MotionFile,
  type Outcome,
} from './motion-file';
