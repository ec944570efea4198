export * from './progress';
export * from './state-at-stop';
