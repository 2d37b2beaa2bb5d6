import type { Purpose } from '@wide-fern/core';
import type { DemoPieceKey } from './evenings';

/** Bars that gave trouble. */
export interface DemoMark {
  readonly fromBar: number;
  readonly toBar: number;
  readonly parts: readonly string[];
  readonly skill: Purpose;
  readonly note: string;
}

/** A run of a piece that was judged, so many weeks before the coming Tuesday. */
export interface DemoJudgement {
  readonly weeksAgo: number;
  readonly scores: readonly (readonly [skill: Purpose, score: number, note?: string])[];
  readonly target?: Purpose;
}

const all: readonly string[] = [];

export const demoMarks: Readonly<Record<DemoPieceKey, readonly DemoMark[]>> = {
  lanterns: [
    { fromBar: 4, toBar: 4, parts: all, skill: 'low breath', note: 'breathe here, not before' },
    { fromBar: 10, toBar: 11, parts: ['A', 'B'], skill: 'low notes', note: 'low, not loud' },
    { fromBar: 19, toBar: 22, parts: all, skill: 'long outflow', note: 'air, flat' },
    { fromBar: 29, toBar: 29, parts: ['S'], skill: 'register change', note: 'leap' },
    { fromBar: 33, toBar: 34, parts: ['S'], skill: 'light register', note: 'alone' },
    { fromBar: 45, toBar: 48, parts: ['T'], skill: 'top notes', note: 'hold the G4' },
  ],
  coldIron: [
    { fromBar: 12, toBar: 13, parts: ['A', 'T'], skill: 'tuning', note: 'the E♭ sinks' },
    { fromBar: 25, toBar: 28, parts: all, skill: 'legato', note: 'no new attacks' },
  ],
  heron: [
    { fromBar: 1, toBar: 3, parts: ['S'], skill: 'diction', note: 'consonants ahead of the beat' },
    { fromBar: 21, toBar: 21, parts: ['S'], skill: 'register change', note: 'octave' },
  ],
  ferry: [
    {
      fromBar: 13,
      toBar: 16,
      parts: ['S', 'A'],
      skill: 'listening',
      note: 'hear the basses enter',
    },
  ],
};

/** Six evenings in eight weeks; the fourth week back had none. */
export const demoJudgements: Readonly<Record<DemoPieceKey, readonly DemoJudgement[]>> = {
  lanterns: [
    {
      weeksAgo: 7,
      scores: [
        ['long outflow', 2],
        ['top notes', 3],
      ],
      target: 'long outflow',
    },
    {
      weeksAgo: 5,
      scores: [
        ['long outflow', 3, 'breath led before it'],
        ['tuning', 3],
      ],
    },
    {
      weeksAgo: 3,
      scores: [
        ['long outflow', 2],
        ['top notes', 3],
      ],
      target: 'long outflow',
    },
    {
      weeksAgo: 2,
      scores: [
        ['long outflow', 2],
        ['tuning', 3],
      ],
    },
    {
      weeksAgo: 1,
      scores: [
        ['long outflow', 2, 'still loses air at bar 21'],
        ['top notes', 4],
      ],
    },
  ],
  coldIron: [
    { weeksAgo: 6, scores: [['tuning', 2]], target: 'tuning' },
    {
      weeksAgo: 3,
      scores: [
        ['tuning', 3],
        ['legato', 3],
      ],
    },
    {
      weeksAgo: 1,
      scores: [
        ['tuning', 4],
        ['legato', 3],
      ],
    },
  ],
  heron: [
    {
      weeksAgo: 6,
      scores: [
        ['diction', 3],
        ['rhythm', 2],
      ],
      target: 'rhythm',
    },
    {
      weeksAgo: 2,
      scores: [
        ['diction', 3],
        ['rhythm', 3],
      ],
    },
  ],
  ferry: [
    {
      weeksAgo: 1,
      scores: [
        ['listening', 4],
        ['rhythm', 4],
      ],
    },
  ],
};
