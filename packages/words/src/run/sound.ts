import type { Giving } from '@wide-fern/core';

/** What can be heard on the stand. */
export const givingWords: Readonly<Record<Giving, string>> = {
  chord: 'chord',
  notes: 'first notes',
  'count-in': 'chord and count-in',
  pattern: 'what is sung',
  drone: 'held tonic',
  pulse: 'beat',
};

/** What sounds by itself with every key. */
export const withKeyWords = {
  nothing: 'nothing',
  chord: givingWords.chord,
  notes: givingWords.notes,
  'count-in': givingWords['count-in'],
} as const;

/** How a touch is answered. */
export const answerWords = {
  nothing: 'nothing',
  vibration: 'a vibration',
  click: 'a soft click',
} as const;
