export { reacting, type Reaction } from './reacting';
export { ending, type Ending } from './end';
export { recovering, type Recovery } from './level';
export { settling, type Settled } from './settled';
export { tracking, type Point } from './track';
