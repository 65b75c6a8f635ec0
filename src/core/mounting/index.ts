export * from './choices';
export * from './figures';
export * from './script';
