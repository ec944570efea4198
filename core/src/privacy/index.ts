export * from './contrast';
export * from './daylight';
export * from './glare-and-fading';
export * from './pattern';
export * from './scenes';
