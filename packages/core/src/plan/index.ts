export * from './aim';
export { anchoredSections, speechZoneOf } from './anchor';
export * from './change';
export * from './keys';
export * from './order';
export * from './plan';
export * from './planned';
export * from './segment';
export * from './sharedKeys';
