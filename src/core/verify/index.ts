export type { About, Failure, Finding, Remedy, Severity, Witness, WitnessStep } from './finding';
export type { Rule } from './rule';
export * from './explore';
export * from './proof';
export { REQUIREMENTS, type PanicAnswer, type Requirement } from './requirements';
export { RULES } from './rules';
export * from './verify';
export { witnessOf } from './witness';
