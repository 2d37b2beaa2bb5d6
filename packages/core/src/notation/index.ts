export * from './bars';
export * from './clef';
export * from './inWords';
export * from './values';
export * from './score';
