export * from './customer';
export * from './close-rows';
