export * from './airframes';
export * from './transmitters';
export * from './units';
