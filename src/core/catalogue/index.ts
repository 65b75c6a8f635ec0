export * from './airframes';
export * from './guide';
export * from './transmitters';
export * from './units';
