export * from './byBar';
export * from './excerpt';
export * from './figures';
export * from './judging';
export * from './music';
export * from './needs';
export * from './score';
export * from './skills';
