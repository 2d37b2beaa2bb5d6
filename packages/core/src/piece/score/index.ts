export * from './guess';
export * from './lines';
export * from './names';
export * from './score';
export * from './sungOrder';
