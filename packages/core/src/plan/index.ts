export * from './change';
export * from './keys';
export * from './plan';
export * from './planned';
export * from './segment';
