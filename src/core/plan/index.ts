export * from './channels';
export * from './compose';
export * from './functions';
export * from './program';
export * from './travel';
