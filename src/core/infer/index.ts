export { asks, type Asked } from './ask';
export * from './infer';
export { disturbed, takenIn } from './take';
