export * from './flaps';
export * from './gain';
export * from './jobs';
export * from './kinds';
export * from './launch';
export * from './modes';
export * from './panic';
export * from './rates';
