export {
  optionsFor,
  togetherFor,
  type AnswerId,
  type SurfaceAnswer,
  type Together,
} from './answers';
export * from './directions';
export { nameOfLook } from './order';
