export { asking, type Asking, type KnownFact, type Told } from './ask';
export type { Act, Answer, Experiment, Seen, Shown } from './experiment';
export { experimentsFor } from './experiments';
export { found } from './found';
export { observerOf, type Eyes } from './observer';
export { possibleUnit, type Possible } from './show';
export { experimentWords, type InWords } from './words';
