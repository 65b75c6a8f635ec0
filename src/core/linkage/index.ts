export * from './linkage';
export * from './steering';
export * from './travel';
