export { asking, USUAL_ROWS, type Posture, type Asking, type Reading } from './ask';
export * from './infer';
export { disturbed, takenIn } from './take';
