export * from './flight';
export * from './ground';
export { afterLoss, type AfterLoss } from './lost';
export { failsafeScript, panicScript } from './scripts';
