export * from './approaches';
export * from './conflict';
export * from './known';
export * from './open';
export * from './reasons';
export * from './state';
export * from './offer';
export * from './ahead';
