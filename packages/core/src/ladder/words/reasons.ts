import type { MidiNote } from '../../units';
import { fitOnTonic } from '../../fit/fit';
import { countInWords, semitonesInWords } from '../../pitch';
import { ladderFrom } from '../ladder';
import { patternOf, type Ladder, type LadderProblem, type Move } from '../problem';
import { edgesInWords } from './edges';
import { movesInWords } from './moves';
import { asSentences, keyNamed, many, noteNamed, pathOf, type Wording } from './wording';

/** The part that loses most from one ladder to another, and by how many points. */
function mostAffected(from: Ladder, to: Ladder): { id: string; by: number } {
  return from.paths
    .map(({ id, cost }) => ({ id, by: (pathOf(to, id)?.cost ?? Infinity) - cost }))
    .reduce((a, b) => (b.by > a.by ? b : a));
}

/** What decides the start: the part and note that stand against a start one semitone further. */
function decidedBy(
  ladder: Ladder,
  problem: LadderProblem,
  direction: 1 | -1,
  wording: Wording,
): string | undefined {
  const away = direction > 0 ? 'higher' : 'lower';
  const next = ladderFrom(problem, ladder.start + direction);
  if (!next) {
    const stopped = problem.sections.find(
      (section) => !ladderFrom({ ...problem, sections: [section] }, ladder.start + direction),
    );
    return stopped && `a semitone ${away} is out of the ${many(wording, stopped.id)}’ reach`;
  }
  const { id, by } = mostAffected(ladder, next);
  if (by <= 0) return undefined;
  const who = many(wording, id);
  const count = (of: Ladder, does: (move: Move) => boolean) =>
    pathOf(of, id)!.moves.filter(does).length;
  const rests = (move: Move) => move === 'rest';
  const more = count(next, rests) - count(ladder, rests);
  if (more > 0) return `a semitone ${away} has the ${who} rest in ${keysMore(more)}`;
  const furthest = furthestNote(next, problem, id, direction);
  const present = furthestNote(ladder, problem, id, direction);
  if (furthest && present && (furthest.note - present.note) * direction > 0) {
    const note = noteNamed(wording, furthest.note, furthest.tonic);
    const key = keyNamed(wording, furthest.tonic);
    return `a semitone ${away} takes the ${who} to ${note} at ${key}`;
  }
  return `a semitone ${away} costs the ${who} ${by} ${by === 1 ? 'point' : 'points'} more`;
}

const keysMore = (count: number): string =>
  count === 1 ? 'one key more' : `${countInWords(count)} keys more`;

/** The highest (1) or lowest (−1) note a part sings in a ladder, and the key it is in. */
function furthestNote(
  ladder: Ladder,
  problem: LadderProblem,
  id: string,
  direction: 1 | -1,
): { note: MidiNote; tonic: MidiNote } | undefined {
  const section = problem.sections.find((one) => one.id === id)!;
  const notes = (pathOf(ladder, id)?.moves ?? []).flatMap((move, i) => {
    if (move === 'rest') return [];
    const tonic = ladder.tonics[i]!;
    const fit = fitOnTonic(section, patternOf(problem, section.id), tonic, move);
    return [{ note: direction > 0 ? fit.high : fit.low, tonic }];
  });
  return notes.reduce<{ note: MidiNote; tonic: MidiNote } | undefined>(
    (a, b) => (!a || (b.note - a.note) * direction > 0 ? b : a),
    undefined,
  );
}

/** What stands against a start a semitone higher, and one a semitone lower. */
export const decidingInWords = (
  ladder: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string[] =>
  ([1, -1] as const).flatMap((direction) => decidedBy(ladder, problem, direction, wording) ?? []);

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
