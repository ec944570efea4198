export * from './application';
export * from './day-rows';
export * from './check-rows';
export * from './rule-set';
export * from './work-record';
export * from './fit-rows';
