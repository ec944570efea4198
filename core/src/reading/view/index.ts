export * from './job-rows';
export * from './job-view';
export * from './answers';
