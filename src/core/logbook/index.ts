export * from './evidence';
export type { Part } from './part';
export { channelsReaching, hashOf, partsOf, type Subject } from './parts';
export * from './status';
export { TESTS, testOf, type TestName } from './tests';
export * from './entry';
export * from './events';
