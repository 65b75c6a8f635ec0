export * from './figures';
export * from './script';
export { chassisScript } from './chassis';
