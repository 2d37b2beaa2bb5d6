/**
 * The computation of Wide Fern: pitch, voices, ladders of keys, time. Pure functions: no interface,
 * no input or output, no clock. docs/model.md explains every rule.
 */
export * from './exercise';
export * from './fit/fit';
export * from './fit/keyStrip';
export * from './ladder';
export * from './piece/needs';
export * from './pitch';
export * from './plan';
export * from './timing';
export * from './units';
export * from './voices';
export * from './roster';
