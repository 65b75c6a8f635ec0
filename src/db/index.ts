export * from './evidence';
export * from './hangar';
export * from './models';
export * from './open';
