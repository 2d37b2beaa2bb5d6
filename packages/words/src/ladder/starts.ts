import {
  type MidiNote,
  oversteps,
  pathOf,
  patternOf,
  type Infeasible,
  type Ladder,
  type LadderProblem,
} from '@wide-fern/core';
import { choiceInWords, countInWords, formFor } from '../counting';
import { keyNamed, many, noteNamed, one, type Wording } from './wording';

/** Why no start works, and what would help. */
export function infeasibleInWords(
  { part, end }: Infeasible,
  problem: LadderProblem,
  wording: Wording = {},
): string {
  const way = end === 'top' ? 'too high' : 'too low';
  const help = ['a narrower pattern'];
  if (problem.keys > 1) help.push('fewer keys');
  const { octaveMoves: moves, mayRest, strict } = patternOf(problem, part);
  if (moves && !(moves.includes(12) && moves.includes(-12))) help.push('another octave');
  if (mayRest === false) help.push(`letting the ${many(wording, part)} rest`);
  if (strict) help.push('letting it touch the edge of the comfort');
  return `No start works: it lies ${way} for the ${many(wording, part)} in more keys than they may rest. What helps: ${choiceInWords(help)}.`;
}

/** What a start chosen by hand costs against the best one, with the parts that pay most. */
export function chosenStartInWords(
  chosen: Ladder,
  best: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string {
  const name = (tonic: MidiNote) => keyNamed(wording, tonic);
  const points = chosen.cost - best.cost;
  if (chosen.start === best.start) return `Start ${name(chosen.start)} is the best one.`;
  if (points <= 0) return `Start ${name(chosen.start)} is as good as ${name(best.start)}.`;
  const dearer = chosen.paths
    .map(({ id, cost }) => ({ id, by: cost - (pathOf(best, id)?.cost ?? 0) }))
    .filter(({ by }) => by > 0)
    .sort((a, b) => b.by - a.by);
  const edges = oversteps(chosen, problem);
  const payers = dearer.slice(0, 2).map(({ id, by }) => {
    const edge = edges.find(({ part }) => part === id);
    const note = edge && ` to ${noteNamed(wording, edge.note, edge.tonic)}`;
    const rests = pathOf(chosen, id)!.moves.filter((move) => move === 'rest').length;
    const more = rests - pathOf(best, id)!.moves.filter((move) => move === 'rest').length;
    const resting =
      more > 0 ? `, ${countInWords(more)} more ${formFor(more, 'rest', 'rests')}` : '';
    return `${one(wording, id)} ${by}${note ?? ''}${resting}`;
  });
  const who = payers.length > 0 ? ` (${payers.join('; ')})` : '';
  return `Start ${name(chosen.start)} costs ${points} ${formFor(points, 'point', 'points')} more than ${name(best.start)}${who}.`;
}
