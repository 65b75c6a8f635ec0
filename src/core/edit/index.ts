export { keptApart } from './apart';
export * from './conditions';
export * from './entries';
export * from './lines';
export * from './mix-view';
export { nestingOf } from './nesting';
export * from './table-view';
export { withMoreRate, withRateWhen } from './rates';
