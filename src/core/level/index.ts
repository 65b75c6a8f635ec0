export * from './level';
export * from './script';
export * from './turn';
