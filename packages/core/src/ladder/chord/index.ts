export * from './canVoice';
export * from './chordLadder';
export * from './problem';
export { voiceChords } from './sequence';
