export * from './model';
export * from './program';
export * from './recovery';
export * from './unit';
