export * from './log-csv';
export * from './dates';
export { encodingOf, textOf, type Encoding } from './decode';
