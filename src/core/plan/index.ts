export * from './channels';
export * from './compose';
export * from './functions';
export * from './plugs';
export * from './program';
export * from './travel';
export * from './replan';
