export * from './log-csv';
