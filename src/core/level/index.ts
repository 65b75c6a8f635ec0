export * from './level';
