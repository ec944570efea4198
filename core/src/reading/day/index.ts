export * from './day';
export * from './hours-open';
export * from './readiness';
export * from './ready-answers';
export * from './day-on-paper';
export * from './sun-now';
