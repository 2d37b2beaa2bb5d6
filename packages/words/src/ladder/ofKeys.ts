import type { Ladder, LadderProblem, SegmentKeys } from '@wide-fern/core';
import { edgesInWords } from './edges';
import { movesInWords } from './moves';
import { decidingInWords } from './reasons';
import type { Wording } from './wording';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

/** Something said of a ladder; of two groups that sing in turn, of each of theirs. */
const ofEach =
  (say: (ladder: Ladder, problem: LadderProblem, wording: Wording) => string[]) =>
  (keys: SegmentKeys, wording: Wording = {}): string[] => {
    if (keys.kind !== 'ladder') return [];
    const all: readonly Pick<LadderKeys, 'sung' | 'problem'>[] = keys.groups ?? [keys];
    return all.flatMap(({ sung, problem }) => (sung ? say(sung, problem, wording) : []));
  };

/** What the parts of a segment do where they do not simply sing. */
export const movesOfKeys = ofEach(movesInWords);
/** Who leaves what is easy, and where. */
export const edgesOfKeys = ofEach(edgesInWords);
/** What decides where it begins. */
export const decidingOfKeys = ofEach(decidingInWords);
