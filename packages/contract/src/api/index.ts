export * from './api';
export type { Access, Described } from './described';
export * from './openApi';
export * from './paths';
