export * from './chord';
export * from './costs';
export * from './deciding';
export * from './goal';
export * from './ladder';
export * from './problem';
export * from './shape';
