export * from './leads';
export { leadMoved } from './move';
