export * from './assign';
export * from './compose';
export * from './program';
