export * from './frequency';
export * from './mode';
export * from './names';
export * from './spelling';
export * from './read';
