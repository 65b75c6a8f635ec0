export { aidsFor, controlsFor, type Aid } from './aids';
export * from './checks';
export { diagnose, type AxisVerdict, type Diagnosis, type Verdict } from './diagnose';
export { explain, pairsOf, type Explanation, type Look, type Observation } from './explain';
export type { Change } from './remedy';
export { factAtoms, settingAtoms, type Place } from './atoms';
export { armedMemory, handsOf, poseFor, type Pose } from './pose';
export { modeOf, movesFor, poseOf, predictAll, stateOf, type Prediction } from './predict';
