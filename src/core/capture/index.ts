export * from './corner';
export * from './leftover';
export * from './script';
