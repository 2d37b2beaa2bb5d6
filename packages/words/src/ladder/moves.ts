import {
  type Semitones,
  freeOctaves,
  isToldToHold,
  type Ladder,
  type LadderProblem,
  type ToldMove,
} from '@wide-fern/core';
import { countInWords, counted, listInWords } from '../counting';
import { keyNamed, many, type Wording } from './wording';

/** A stretch of keys in which a part does the same: from index `from` up to and with `to`. */
interface Run {
  readonly move: ToldMove;
  readonly from: number;
  readonly to: number;
}

function runsOf(moves: readonly ToldMove[]): Run[] {
  const runs: Run[] = [];
  moves.forEach((move, i) => {
    const last = runs[runs.length - 1];
    if (last?.move === move) runs[runs.length - 1] = { ...last, to: i };
    else runs.push({ move, from: i, to: i });
  });
  return runs;
}

function octaveInWords(displacement: Semitones): string {
  const octaves = Math.abs(displacement) / 12;
  const count = octaves === 1 ? 'an octave' : `${countInWords(octaves)} octaves`;
  return `${count} ${displacement < 0 ? 'down' : 'up'}`;
}

/** Where a run lies, in words: by key names while each occurs once, else counted from the ends. */
function whereInWords(run: Run, names: readonly string[]): string {
  const last = names.length - 1;
  const length = run.to - run.from + 1;
  if (run.from === 0 && run.to === last) return 'throughout';
  const span = names.slice(run.from, run.to + 1);
  const unambiguous = span.every((name) => names.filter((other) => other === name).length === 1);
  if (!unambiguous) {
    const count = length === 1 ? 'key' : counted(length, 'key', 'keys');
    if (run.from === 0) return `in the first ${count}`;
    if (run.to === last) return `in the last ${count}`;
    return length === 1 ? `in key ${run.from + 1}` : `in keys ${run.from + 1} to ${run.to + 1}`;
  }
  const first = names[run.from]!;
  if (length === 1) return `at ${first}`;
  if (length === 2) return `at ${first} and ${names[run.to]!}`;
  return run.to === last ? `from ${first}` : `from ${first} to ${names[run.to]!}`;
}

/** «rest at E and F and sing an octave down from G»: the runs that are not as usual, equal doings named once. */
function runsInWords(
  runs: readonly Run[],
  usual: Semitones,
  names: readonly string[],
): string | undefined {
  const doings = new Map<string, string[]>();
  for (const run of runs) {
    if (run.move === usual) continue;
    const doing =
      run.move === 'rest'
        ? 'rest'
        : run.move === 'hold'
          ? 'hold the key’s note'
          : `sing ${octaveInWords(run.move - usual)}`;
    doings.set(doing, [...(doings.get(doing) ?? []), whereInWords(run, names)]);
  }
  const phrases = [...doings].map(([doing, places]) => `${doing} ${listInWords(places)}`);
  return phrases.length > 0 ? phrases.join(', then ') : undefined;
}

/** «altos rest from E», for all parts that do not simply sing as usual; parts that do alike together. */
export function movesInWords(
  ladder: Ladder,
  problem: Pick<LadderProblem, 'sections' | 'own' | 'fixed'>,
  wording: Wording = {},
): string[] {
  // Who holds a note does so wherever it lies well: its octave is of no account.
  const anyOctave = freeOctaves(problem);
  const names = ladder.tonics.map((tonic) => keyNamed(wording, tonic));
  const phrases = new Map<string, string[]>();
  for (const path of ladder.paths) {
    const usual = problem.sections.find(({ id }) => id === path.id)?.octave ?? 0;
    const free = anyOctave.includes(path.id);
    const moves = path.moves.map((move, i): ToldMove => {
      if (isToldToHold(problem, path.id, i)) return 'hold';
      return free && move !== 'rest' ? usual : move;
    });
    const phrase = runsInWords(runsOf(moves), usual, names);
    if (!phrase) continue;
    phrases.set(phrase, [...(phrases.get(phrase) ?? []), many(wording, path.id)]);
  }
  return [...phrases].map(([phrase, parts]) => `${listInWords(parts)} ${phrase}`);
}
