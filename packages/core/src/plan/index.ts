export * from './plan';
export * from './segment';
export * from './change';
