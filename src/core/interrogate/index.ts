export { asking, type Asking, type KnownFact, type NextExperiment, type Told } from './ask';
export {
  edgeRead,
  edgesToRead,
  monitorUs,
  withEdges,
  type EdgeReading,
  type EdgesToRead,
} from './edges';
export type { Act, Answer, Experiment, Seen, Shown } from './experiment';
export { experimentsFor } from './experiments';
export { found } from './found';
export { observerOf, type Eyes } from './observer';
export { recordOf } from './record';
export { settling, type Settling, type Undecided } from './settles';
export { possibleUnit, type Possible } from './show';
export { experimentWords, type InWords } from './words';
