export * from './blank-rows';
export * from './cut-method';
export * from './cut-plan';
export * from './stock';
export * from './shelf-pane';
export * from './own-plan';
export * from './test-piece';
