export * from './columns';
export * from './effect';
export * from './time';
