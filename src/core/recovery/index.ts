export * from './ground';
export { afterLoss, motorMust, type AfterLoss } from './lost';
export { failsafeScript, hasPanic, panicScript } from './scripts';
