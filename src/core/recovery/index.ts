export * from './flight';
export * from './ground';
export { failsafeScript, panicScript } from './scripts';
