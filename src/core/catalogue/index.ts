export * from './airframes';
export * from './guide';
export * from './rebuild';
export * from './transmitters';
export * from './units';
