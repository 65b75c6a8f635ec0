export * from './corner';
export * from './leftover';
export * from './level-capture';
export * from './script';
export * from './teaching';
