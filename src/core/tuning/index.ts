export * from './figures';
export * from './script';
