export * from './excerpt';
export * from './figures';
export * from './music';
export * from './needs';
export * from './score';
export * from './skills';
