export { drawn, portFor, type Drawn } from './drawn';
export * from './leads';
export { leadMoved } from './move';
