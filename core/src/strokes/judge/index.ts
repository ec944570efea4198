export * from './coverage';
export * from './findings';
export * from './residue';
export * from './traps';
