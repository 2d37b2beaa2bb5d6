import type { MidiNote } from '../../units';
import { ladderCosts } from '../costs';
import { keyOffsets } from '../shape';
import type { ChordLadder, ChordProblem } from './problem';
import { bestSequence, chordBook, leastPossible, type ChordBook } from './sequence';

/** The starts tried without a preferred one: a chord an octave away is the same chord. */
const usualStarts = { first: 55, count: 12 } as const;

const rootsFrom = (problem: ChordProblem, start: MidiNote): MidiNote[] =>
  keyOffsets(problem).map((offset) => start + offset);

const startCost = ({ preferredStart }: ChordProblem, start: MidiNote): number =>
  preferredStart === undefined ? 0 : ladderCosts.startMoved * Math.abs(start - preferredStart);

function ladderFrom(problem: ChordProblem, book: ChordBook, start: MidiNote) {
  const tonics = rootsFrom(problem, start);
  const found = bestSequence(book, tonics);
  if (found.kind === 'no-voicing') return undefined;
  const { cost, voicings } = found;
  const ladder: ChordLadder = {
    kind: 'chord',
    start,
    cost: cost + startCost(problem, start),
    tonics,
    voicings,
  };
  return ladder;
}

/**
 * The chord ladder from one start, or undefined when some root cannot be voiced: exact, by dynamic
 * programming over the voicings (docs/model.md, section 5).
 */
export const chordLadderFrom = (problem: ChordProblem, start: MidiNote): ChordLadder | undefined =>
  ladderFrom(problem, chordBook(problem), start);

/** The best chord ladder over the twelve starts around the preferred one; of equal ones the lower. Undefined when none can be voiced. */
export function bestChordLadder(problem: ChordProblem): ChordLadder | undefined {
  const book = chordBook(problem);
  const first =
    problem.preferredStart === undefined ? usualStarts.first : problem.preferredStart - 6;
  let best: ChordLadder | undefined;
  for (let start = first; start < first + usualStarts.count; start += 1) {
    // A start that cannot be cheaper than the best, even if nobody moved, is not looked into.
    const least = leastPossible(book, rootsFrom(problem, start)) + startCost(problem, start);
    if (least >= (best?.cost ?? Infinity)) continue;
    const ladder = ladderFrom(problem, book, start);
    if (ladder && ladder.cost < (best?.cost ?? Infinity)) best = ladder;
  }
  return best;
}
