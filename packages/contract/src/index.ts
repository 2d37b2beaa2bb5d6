/** Schemas of everything that crosses a boundary; the types are inferred from them. */
export * from './account';
export * from './common';
export * from './compute';
export * from './evening';
export * from './exercise';
export * from './file';
export * from './music';
export * from './ownExercises';
export * from './piece';
export * from './plan';
export { z } from './zod';
export * from './voices';
