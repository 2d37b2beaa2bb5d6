export * from './bars';
export * from './clef';
export * from './values';
export * from './score';
export * from './own';
