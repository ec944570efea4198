export * from './film-material';
export * from './film';
export * from './film-brief';
export * from './film-families';
