export * from './cells';
export * from './columns';
export * from './partWords';
export * from './read';
export * from './singer';
export * from './write';
