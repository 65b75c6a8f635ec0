export * from './flight';
export { failsafeScript, panicScript, type ScriptStep } from './scripts';
