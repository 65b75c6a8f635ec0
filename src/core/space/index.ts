export * from './rotation';
