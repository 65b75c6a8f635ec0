export { asking, type Asking, type KnownFact, type NextExperiment, type Told } from './ask';
export { edgeRead, edgesToRead, withEdges, type EdgeReading, type EdgesToRead } from './edges';
export {
  looksOf,
  rewrites,
  saysNothing,
  type Act,
  type Answer,
  type Experiment,
  type Glance,
} from './experiment';
export { experimentsFor } from './experiments';
export { found } from './found';
export { observerOf, wrongly, type Eyes } from './observer';
export { recordOf } from './record';
export { settling, type Settling, type Undecided } from './settles';
export { possibleUnit, type Possible } from './show';
export {
  answerWords,
  experimentWords,
  putRightWords,
  type InWords,
  type LookInWords,
} from './words';
