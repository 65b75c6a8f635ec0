export {
  optionsFor,
  togetherFor,
  type AnswerId,
  type SurfaceAnswer,
  type Together,
} from './answers';
export * from './directions';
export { nameOfLook } from './order';
export * from './faces';
export * from './poses';
export * from './preflight';
export * from './reading-in';
