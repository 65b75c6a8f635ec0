export * from './log-csv';
export * from './dates';
