export * from './logbooks';
export * from './plans';
