import type { MidiNote, Semitones } from '../../units';
import { fitOnTonic } from '../../fit/fit';
import { semitonesInWords } from '../../pitch';
import { listInWords } from '../../voices/parts';
import { patternOf, type Ladder, type LadderProblem } from '../problem';
import { keyNamed, many, type Wording } from './wording';

/** Where a part leaves its comfort furthest at one end. */
export interface Overstep {
  readonly part: string;
  readonly end: 'top' | 'bottom';
  readonly by: Semitones;
  readonly note: MidiNote;
  readonly tonic: MidiNote;
}

/** For each part and end the note of this ladder that leaves its comfort furthest. */
export function oversteps(ladder: Ladder, problem: LadderProblem): Overstep[] {
  return ladder.paths.flatMap((path) => {
    const section = problem.sections.find(({ id }) => id === path.id)!;
    const worst: Partial<Record<'top' | 'bottom', Overstep>> = {};
    path.moves.forEach((move, i) => {
      if (move === 'rest') return;
      const tonic = ladder.tonics[i]!;
      const fit = fitOnTonic(section, patternOf(problem, section.id), tonic, move);
      const ends = [
        { end: 'top', by: -fit.roomAbove, note: fit.high },
        { end: 'bottom', by: -fit.roomBelow, note: fit.low },
      ] as const;
      for (const { end, by, note } of ends) {
        if (by > (worst[end]?.by ?? 0)) worst[end] = { part: path.id, end, by, note, tonic };
      }
    });
    return [worst.top ?? [], worst.bottom ?? []].flat();
  });
}

/**
 * «sopranos and tenors dip two semitones below their comfort at C», for every part that leaves
 * its comfort, with the key where it goes furthest; parts that do alike together.
 */
export function edgesInWords(
  ladder: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string[] {
  const phrases = new Map<string, string[]>();
  for (const { part, end, by, tonic } of oversteps(ladder, problem)) {
    const phrase =
      `${end === 'top' ? 'top' : 'dip'} ${semitonesInWords(by)} ` +
      `${end === 'top' ? 'above' : 'below'} their comfort at ` +
      keyNamed(wording, tonic);
    phrases.set(phrase, [...(phrases.get(phrase) ?? []), many(wording, part)]);
  }
  return [...phrases].map(([phrase, parts]) => `${listInWords(parts)} ${phrase}`);
}
