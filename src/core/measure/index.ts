export * from './measure';
export * from './parse';
