export * from './calculate-quote';
export * from './account';
export * from './predicted-time';
export * from './price';
export * from './quote-formulas';
export * from './quote-cost';
export * from './invoice';
export * from './ticked-minutes';
