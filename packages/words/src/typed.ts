import { highestStep, longestBeats, type TypedProblem } from '@wide-fern/core';

/** What is wrong at a place of a typed line, and what to type instead. */
export function typedProblemInWords({ code, word = '' }: TypedProblem): string {
  switch (code) {
    case 'no-length':
      return 'After : comes a length in beats, like 2, 1/2 or 1.5.';
    case 'length-nothing':
      return 'A length is more than nothing.';
    case 'length-too-long':
      return `A length is at most ${longestBeats} beats.`;
    case 'syllable-open':
      return 'The syllable has no closing ).';
    case 'syllable-empty':
      return 'Write a syllable between ( and ).';
    case 'syllable-too-long':
      return 'A syllable has at most 40 characters.';
    case 'no-step':
      return 'After < comes a step of the scale, like <7.';
    case 'step-out-of-range':
      return `Steps of the scale go from 1 to ${highestStep}; 8 is the octave.`;
    case 'altered-too-far':
      return 'Raise or lower a step by two at most.';
    case 'too-far-away':
      return 'That is more than four octaves away from the first step.';
    case 'breath-without-note':
      return 'A breath , comes after a note.';
    case 'breath-in-bound-note':
      return 'There is no breath inside a bound note ~.';
    case 'two-dynamics':
      return 'One loudness for a note is enough.';
    case 'no-blank':
      return 'Leave a blank between two notes.';
    case 'dynamic-without-note':
      return 'A loudness comes before a note.';
    case 'no-note':
      return 'Type a line, like 1 2 3 4 5:2.';
    case 'unreadable':
      return `“${word}” cannot be read here. Type a step of the scale (1 to ${highestStep}, or do re mi, or names of notes), r for a rest, a loudness from pp to ff, growing or fading.`;
    case 'slide-not-plain':
      return 'A slide has only steps and beats, like 1 5:3; its syllable stands beside it.';
    case 'slide-first-with-beats':
      return 'The first step is where it begins; it has no beats.';
    case 'slide-without-beats':
      return 'Say in how many beats it gets there, like 5:3; 5:0 is a leap.';
    case 'slide-too-short':
      return 'A slide needs a beginning and an end, like 1 5:3.';
    case 'slide-no-time':
      return 'A slide takes at least a beat somewhere.';
  }
}
