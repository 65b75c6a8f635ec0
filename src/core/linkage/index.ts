export * from './linkage';
