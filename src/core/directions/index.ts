export * from './authority';
export * from './checks';
export {
  diagnose,
  type AxisVerdict,
  type Change,
  type Diagnosis,
  type Observation,
  type Verdict,
} from './diagnose';
export { factAtoms, settingAtoms, type Place } from './atoms';
export { armedMemory, poseFor } from './pose';
export { CORRECTION_MODES, predictAll, stimulusFor, type Prediction } from './predict';
