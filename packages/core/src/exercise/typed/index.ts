export * from './degrees';
export * from './lengths';
export * from './read';
export * from './write';
export * from './edit';
export * from './slide';
export * from './problem';
export * from './moves';
