export * from './shape';
export * from './many-sides';
export * from './fit-patch';
export * from './four-sides';
