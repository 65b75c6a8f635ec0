export * from './conditions';
export * from './entries';
export * from './lines';
