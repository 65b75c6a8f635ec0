export * from './evidence';
export type { Part } from './part';
export { channelsReaching, type Subject } from './parts';
export * from './status';
export { TESTS, scriptFor, isAtOnce, testNameOf, type TestName } from './tests';
export * from './entry';
export * from './events';
export * from './merge';
