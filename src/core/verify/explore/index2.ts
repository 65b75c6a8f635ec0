export { coneOf, coneOfReads, type Cone } from './cone';
export { cellsHolding, tableOf, type Cell, type Table } from './table';
export { ordersReader, watchOf, type Orders } from './orders';
