import { whatDecides, type Deciding, type Ladder, type LadderProblem } from '@wide-fern/core';
import { asSentences, countInWords, formFor, semitonesInWords } from '../counting';
import { edgesInWords } from './edges';
import { movesInWords } from './moves';
import { keyNamed, many, noteNamed, type Wording } from './wording';

const keysMore = (count: number): string =>
  `${countInWords(count)} ${formFor(count, 'key', 'keys')} more`;

/** What decides a start, as a phrase. */
function decidedBy(deciding: Deciding, wording: Wording): string {
  const away = deciding.direction > 0 ? 'higher' : 'lower';
  const who = many(wording, deciding.part);
  switch (deciding.kind) {
    case 'out of reach':
      return `a semitone ${away} is out of the ${who}’ reach`;
    case 'rests':
      return `a semitone ${away} has the ${who} rest in ${keysMore(deciding.more)}`;
    case 'note': {
      const note = noteNamed(wording, deciding.note, deciding.tonic);
      const key = keyNamed(wording, deciding.tonic);
      return `a semitone ${away} takes the ${who} to ${note} at ${key}`;
    }
    case 'cost':
      return `a semitone ${away} lies less well for the ${who}`;
  }
}

/** What stands against a start a semitone higher, and one a semitone lower. */
export const decidingInWords = (
  ladder: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string[] =>
  ([1, -1] as const).flatMap((direction) => {
    const found = whatDecides(ladder, problem, direction);
    return found ? [decidedBy(found, wording)] : [];
  });

/**
 * Why a ladder stands where it does, as short sentences: what decides the start, what the parts do,
 * who leaves the comfort and where, and whether the goal is reached.
 */
export function reasonsInWords(
  ladder: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string[] {
  const deciding = decidingInWords(ladder, problem, wording);
  const edges = edgesInWords(ladder, problem, wording);
  const moves = movesInWords(ladder, problem, wording);
  const everyone =
    edges.length === 0 && moves.length === 0
      ? ['every part sings every key in its comfort, in its usual octave']
      : [];
  const goal = problem.goalTonic;
  const top = Math.max(...ladder.tonics);
  const short =
    goal !== undefined && top < goal
      ? [
          `the top key ${keyNamed(wording, top)} stays ` +
            `${semitonesInWords(goal - top)} below what tonight’s music needs`,
        ]
      : [];
  return asSentences([...everyone, ...moves, ...edges, ...short, ...deciding]);
}
