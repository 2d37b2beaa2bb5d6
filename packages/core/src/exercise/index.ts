export * from './music';
export * from './vocabulary';
