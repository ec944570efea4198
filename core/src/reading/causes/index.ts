export * from './in-the-end';
export * from './causes';
export * from './cause-record';
