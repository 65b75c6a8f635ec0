export * from './model';
export * from './program';
export * from './recovery';
export { bareLine, ordersOf } from './shared';
export * from './unit';
