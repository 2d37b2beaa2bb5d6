import {
  type MidiNote,
  beyondReach,
  oversteps,
  pathOf,
  patternOf,
  type Infeasible,
  type Ladder,
  type LadderProblem,
} from '@wide-fern/core';
import { choiceInWords, countInWords, formFor, listInWords } from '../counting';
import { keyNamed, many, noteNamed, type Wording } from './wording';

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

/** «the tenors go above their reach in three keys», part by part. */
export function beyondInWords(
  ladder: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string {
  return listInWords(
    beyondReach(ladder, problem).map(
      ({ part, keys, end }) =>
        `the ${many(wording, part)} go ${end === 'top' ? 'above' : 'below'} their reach in ${countInWords(keys)} ${formFor(keys, 'key', 'keys')}`,
    ),
  );
}

/** What a start chosen by hand asks of a part more than the best one does. */
function harderFor(
  part: string,
  chosen: Ladder,
  best: Ladder,
  problem: LadderProblem,
  wording: Wording,
): string {
  const who = many(wording, part);
  const restsIn = (ladder: Ladder) =>
    pathOf(ladder, part)?.moves.filter((move) => move === 'rest').length ?? 0;
  const more = restsIn(chosen) - restsIn(best);
  const edge = oversteps(chosen, problem).find((one) => one.part === part);
  const does = [
    ...(more > 0 ? [`rest in ${countInWords(more)} more ${formFor(more, 'key', 'keys')}`] : []),
    ...(edge ? [`go to ${noteNamed(wording, edge.note, edge.tonic)}`] : []),
  ];
  return does.length > 0 ? `the ${who} ${does.join(' and ')}` : `it lies less well for the ${who}`;
}

/** What a start chosen by hand asks more than the best one, of the parts for whom it is hardest. */
export function chosenStartInWords(
  chosen: Ladder,
  best: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string {
  const name = (tonic: MidiNote) => keyNamed(wording, tonic);
  if (chosen.start === best.start) return `Start ${name(chosen.start)} is the best one.`;
  const isAsGood = chosen.cost <= best.cost;
  if (isAsGood) return `Start ${name(chosen.start)} is as good as ${name(best.start)}.`;
  const hardest = chosen.paths
    .map(({ id, cost }) => ({ id, by: cost - (pathOf(best, id)?.cost ?? 0) }))
    .filter(({ by }) => by > 0)
    .sort((x, y) => y.by - x.by)
    .slice(0, 2)
    .map(({ id }) => harderFor(id, chosen, best, problem, wording));
  const why = hardest.length > 0 ? `: ${hardest.join('; ')}` : '';
  return `Start ${name(chosen.start)} is harder than ${name(best.start)}${why}.`;
}
