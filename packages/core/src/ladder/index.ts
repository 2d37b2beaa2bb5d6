export * from './chord';
export * from './costs';
export * from './goal';
export * from './ladder';
export * from './problem';
export * from './shape';
export * from './words';
