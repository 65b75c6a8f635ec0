export { asks, type Asked } from './ask';
export * from './infer';
export { takenIn } from './take';
