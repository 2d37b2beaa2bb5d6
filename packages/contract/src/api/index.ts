export * from './api';
export * from './openApi';
export * from './paths';
