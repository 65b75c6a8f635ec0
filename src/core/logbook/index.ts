export * from './evidence';
export type { Dependency } from './kinds/part';
export { channelsReaching } from './channels';
export * from './subject';
export * from './status';
export { TESTS, scriptFor, isAtOnce, isTest } from './kinds/test/tests';
export * from './entry';
export * from './events';
export * from './merge';
