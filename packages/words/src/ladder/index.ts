export { cellInWords } from './cell';
export { edgesInWords } from './edges';
export { movesInWords } from './moves';
export { decidingInWords, reasonsInWords } from './reasons';
export { beyondInWords, chosenStartInWords, infeasibleInWords } from './starts';
export type { Wording } from './wording';
export * from './ofKeys';
