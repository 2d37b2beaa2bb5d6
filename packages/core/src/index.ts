/**
 * The computation of Wide Fern: pitch, voices, ladders of keys, time. Pure functions: no interface,
 * no input or output, no clock. docs/model.md explains every rule.
 */
export * from './breath/learnedPhrase';
export * from './breath/moment';
export * from './breath/phrase';
export * from './course/way';
export * from './evening/advice';
export * from './evening/needs';
export * from './evening/occasion';
export * from './exercise';
export * from './fit/fit';
export * from './fit/sounding';
export * from './fit/keyStrip';
export * from './ladder';
export * from './notation';
export { own } from './own';
export * from './piece';
export * from './pitch';
export * from './plan';
export * from './planner';
export * from './load';
export * from './sure';
export * from './playing/answering';
export * from './playing/given';
export * from './playing/moved';
export * from './playing/openings';
export * from './playing/practising';
export * from './playing/programme';
export * from './timing';
export * from './units';
export * from './voices';
export * from './roster';
export * from './run';
export * from './logbook';
