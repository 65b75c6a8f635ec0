export * from './copy';
export * from './items';
export * from './parse';
