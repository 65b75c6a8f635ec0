export * from './job';
export * from './order';
export { SESSIONS, type Bench, type Caution, type Session, type Step } from './step';
export { STEPS } from './steps';
