export * from './leads';
