export * from './job';
export * from './order';
export {
  SESSIONS,
  STATION_IDS,
  STEP_IDS,
  type Bench,
  type Caution,
  type Session,
  type StationId,
  type Step,
  type StepId,
} from './step';
export { STEPS } from './steps';
