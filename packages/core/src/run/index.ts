export * from './act';
export * from './controls';
export * from './next';
export * from './record';
export * from './state';
export * from './rest';
export * from './givenUp';
