export { cellInWords, type CellDoing } from './cell';
export { movesInWords } from './moves';
export { reasonsInWords } from './reasons';
export { beyondInWords, chosenStartInWords, infeasibleInWords } from './starts';
export { tellWords, toldInFigures } from './telling';
export type { Wording } from './wording';
export * from './ofKeys';
