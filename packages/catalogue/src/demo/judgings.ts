import type { Purpose } from '@wide-fern/core';
import type { DemoPieceKey } from './evenings';

/** A run that the director, the deputy and the pianist judged, so many weeks before the coming Tuesday. */
export interface DemoJudging {
  readonly weeksAgo: number;
  /** Who sang, where it was tried on a few first. */
  readonly group?: string;
  readonly tried?: string;
  readonly skills: readonly Purpose[];
  /** In the order of the skills; of each of the people, undefined where a card is still missing. */
  readonly cards: readonly (
    { readonly scores: readonly number[]; readonly target?: Purpose } | undefined
  )[];
  /** What was agreed on, in the order of the skills. */
  readonly agreed?: { readonly scores: readonly number[]; readonly target?: Purpose };
}

const few = 'two of each part';
const [outflow, top] = ['long outflow', 'top notes'] as const;

/** The breath of one piece was tried on eight singers first; of another one card is missing. */
export const demoJudgings: Readonly<Record<DemoPieceKey, readonly DemoJudging[]>> = {
  lanterns: [
    {
      ...{ weeksAgo: 2, group: few, skills: [outflow, top] },
      cards: [
        { scores: [2, 3], target: outflow },
        { scores: [2, 4], target: outflow },
        { scores: [3, 3], target: top },
      ],
      agreed: { scores: [2, 3], target: outflow },
    },
    {
      ...{ weeksAgo: 2, group: few, tried: 'a long f on the hand, twice', skills: [outflow, top] },
      cards: [{ scores: [3, 3] }, { scores: [4, 3], target: top }, { scores: [3, 5] }],
      agreed: { scores: [3, 3] },
    },
  ],
  coldIron: [],
  heron: [
    {
      ...{ weeksAgo: 1, skills: ['diction', 'rhythm'] },
      cards: [
        undefined,
        { scores: [3, 4], target: 'diction' },
        { scores: [2, 4], target: 'diction' },
      ],
    },
  ],
  ferry: [],
};
