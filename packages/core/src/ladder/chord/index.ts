export * from './chordLadder';
export * from './problem';
