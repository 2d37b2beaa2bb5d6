/** Schemas of everything that crosses a boundary; the types are inferred from them. */
export * from './account';
export * from './api';
export * from './common';
export * from './compute';
export * from './errors';
export * from './evening';
export * from './events';
export * from './exercise';
export * from './file';
export * from './music';
export * from './ownExercises';
export * from './page';
export * from './piece';
export * from './plan';
export * from './planEdit';
export * from './savedPlan';
export { z } from './zod';
export * from './voices';
