export * from './level';
export * from './script';
