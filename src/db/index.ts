export * from './evidence';
export * from './models';
export * from './open';
