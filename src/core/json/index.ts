export * from './items';
export * from './parse';
