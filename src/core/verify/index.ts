export { findingKey } from './finding';
export type { About, Failure, Finding, Remedy, Severity, Witness, WitnessStep } from './finding';
export type { Rule } from './rule';
export * from './explore';
export * from './proof';
export {
  ifWords,
  overUnits,
  unlessWords,
  type OverUnits,
  type ProvenIf,
  type RestsOn,
} from './if-unit';
export { prove, unreducedCount } from './prove';
export { witnessOfRow, type ProofRow } from './rows';
export type { RequirementId } from './requirements/ids';
export type { RuleId } from './rules/ids';
export { stateIn } from './rules/state-in';
export { REQUIREMENTS, type PanicAnswer, type Requirement } from './requirements';
export { RULES } from './rules';
export * from './verify';
export { witnessOf } from './witness';
