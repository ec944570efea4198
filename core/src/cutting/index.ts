export * from './order/cut-order';
export * from './order/better-plan';
export * from './order/plan-order';
export * from './order/order-money';
export * from './order/pair-outlines';
export * from './instructions';
export * from './hand-placing';
export * from './film-weight';
