export * from './music';
export * from './vocabulary';
export * from './sung';
