export * from './clock';
export * from './estimate';
export * from './segment';
export * from './movement';
export * from './beat';
export * from './keyMoment';
