export * from './adjust';
export * from './request';
export * from './proposal';
export * from './ways';
export * from './whyNot';
export * from './ours';
export * from './ahead';
