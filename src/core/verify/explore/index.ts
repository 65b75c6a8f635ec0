export {
  coneOf,
  coneOfReads,
  handsOn,
  isContinuous,
  partOfProgram,
  remembers,
  type Cone,
} from './cone';
export { memoryOf, pathTo, type Move } from './concrete';
export { Interner } from './intern';
export { chainOf, keptTable } from './kept';
export { listening, Newest, type Progress } from './newest';
export { LONG_S, ordersReader, watchOf, type Orders } from './orders';
export { actingLogic, controlsOf, panicControlOf, type PanicControl } from './panic';
export {
  holderOf,
  tableOf,
  type Cell,
  type Table,
  type TableOptions,
  type TooLarge,
} from './table';
export type { Watch } from './ranges';
