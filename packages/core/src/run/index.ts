export * from './act';
export * from './next';
export * from './state';
