export * from './plan';
export * from './segment';
