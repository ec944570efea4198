export * from './chosen-film';
export * from './film-limits';
