export * from './adjust-network';
export * from './observation';
export * from './judge';
export * from './calculate-network';
