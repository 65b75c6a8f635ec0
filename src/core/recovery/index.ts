export * from './flight';
export { failsafeScript, panicScript } from './scripts';
