export * from './infer';
