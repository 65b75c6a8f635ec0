export * from './faces';
export * from './learn';
export * from './script';
export * from './six-face';
