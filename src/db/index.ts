export * from './evidence';
export * from './hangar';
export * from './log';
export * from './models';
export * from './open';
export * from './shelf';
export * from './staging';
