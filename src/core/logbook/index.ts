export * from './evidence';
export { channelsReaching, hashOf, partsOf, type Part, type Subject } from './parts';
export * from './status';
