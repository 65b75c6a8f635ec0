export { coneOf, coneOfReads, handsOn, isContinuous, remembers, type Cone } from './cone';
export {
  controlsIn,
  cornersOf,
  easiest,
  memoryOf,
  pathTo,
  type Corner,
  type Move,
} from './concrete';
export { Interner } from './intern';
export { chainOf, keptTable } from './kept';
export { LONG_S, ordersReader, watchOf, type Orders } from './orders';
export { actingLogic, controlsOf, panicControlOf, type PanicControl } from './panic';
export { Stand } from './stand';
export {
  cellsHolding,
  tableOf,
  type Box,
  type Cell,
  type Table,
  type TableOptions,
  type TooLarge,
} from './table';
export type { Watch } from './ranges';
