import type { Piece } from '@wide-fern/contract';
import { openTarget, type Purpose } from '@wide-fern/core';

/** So many skills are asked about at first. */
const most = 5;

/** The skills to judge a run of a piece by: its open target first, then those marked and judged before. */
export function skillsToJudge({ marks, judgements }: Piece): Purpose[] {
  const target = openTarget([...judgements].reverse())?.skill;
  const skills = [
    ...(target ? [target] : []),
    ...marks.map(({ skill }) => skill),
    ...judgements.flatMap(({ scores }) => scores.map(({ skill }) => skill)),
  ];
  const [first = 'legato', ...others] = [...new Set(skills)];
  return [first, ...others].slice(0, most);
}
