export { GATE_MS, gatesOf, gateWords, openGates, saying, type BenchSaid } from './gates';
export * from './job';
export * from './order';
export {
  CAUTIONS,
  saidOf,
  SESSIONS,
  STEP_IDS,
  type ProofContext,
  type Caution,
  type Session,
  type Step,
  type StepId,
} from './step';
export { STEPS } from './steps';
export {
  EVERYWHERE,
  isWhole,
  PLACE_IDS,
  STATION_IDS,
  wayTitle,
  type PlaceId,
  type StationId,
  type WayGroup,
} from './stations';
export { nextFrom, stationTitle, surfacesAt, wayOf, type Place, type WayPart } from './way';
