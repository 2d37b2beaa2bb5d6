import {
  bestLadder,
  ladderAnyway,
  type Infeasible,
  type Ladder,
  type LadderProblem,
} from '../ladder';
import type { MidiNote } from '../units';
import type { Kind } from '../exercise/music';
import type { Grouping } from '../exercise/vocabulary';
import type { Voice } from '../voices/parts';
import type { PlannedExercise } from './planned';

/** The kinds in which all parts sing alike. */
const alike: readonly Kind[] = ['pattern', 'glide', 'hold', 'round'];

/**
 * Whether high and low voices have keys of their own, and how they sing them: only where all parts sing
 * alike, and nothing is aimed at.
 */
export const groupingOf = ({ music, keys, aim }: PlannedExercise): Grouping | undefined =>
  aim === undefined && alike.includes(music.kind) ? keys?.groups : undefined;

/** Whether high and low voices sing one after the other. */
export const singsInTurn = (exercise: PlannedExercise): boolean =>
  groupingOf(exercise) === 'in turn';

/** High or low voices with a ladder of their own. */
export interface GroupKeys {
  readonly problem: LadderProblem;
  readonly best: Ladder | Infeasible;
  readonly sung: Ladder | undefined;
}

/** Twice the middle of a comfort, brought to the treble octave. */
const middleOf = ({ comfort: [low, high], octave }: Voice): number => low + high - 2 * octave;

/**
 * The higher and the lower voices of a choir, whatever their octave: those whose comfort lies above the
 * middle between the highest and the lowest of them, and the others. Where all lie alike, the first half
 * and the second; a part alone is both.
 */
export function highAndLow<V extends Voice>(sections: readonly V[]): readonly [V[], V[]] {
  const middles = sections.map(middleOf);
  const between = (Math.max(...middles) + Math.min(...middles)) / 2;
  const high = sections.filter((section) => middleOf(section) > between);
  const low = sections.filter((section) => middleOf(section) <= between);
  if (high.length > 0) return [high, low];
  if (sections.length === 1) return [[...sections], [...sections]];
  const half = Math.ceil(sections.length / 2);
  return [sections.slice(0, half), sections.slice(half)];
}

/** Each group's keys; a start chosen by hand is the first group's, and the other moves as far from its best. */
export function groupKeys(
  problems: readonly LadderProblem[],
  start: MidiNote | null,
): readonly GroupKeys[] {
  const best = problems.map(bestLadder);
  const [first] = best;
  const by = start !== null && first?.kind === 'ladder' ? start - first.start : 0;
  return problems.map((problem, i) => {
    const found = best[i]!;
    if (found.kind !== 'ladder') {
      const anyway = start === null ? undefined : ladderAnyway(problem, start);
      return { problem, best: found, sung: anyway };
    }
    const sung = by === 0 ? found : ladderAnyway(problem, found.start + by);
    return { problem, best: found, sung };
  });
}

/** The groups' ladders one after the other: whoever is not in a group rests while it sings. */
export function inTurn(sections: readonly Pick<Voice, 'id'>[], ladders: readonly Ladder[]): Ladder {
  const beyond = [...new Set(ladders.flatMap((ladder) => ladder.beyond ?? []))];
  return {
    kind: 'ladder',
    start: ladders[0]!.start,
    cost: ladders.reduce((sum, { cost }) => sum + cost, 0),
    tonics: ladders.flatMap(({ tonics }) => tonics),
    paths: sections.map(({ id }) => {
      const own = ladders.map(({ paths }) => paths.find((path) => path.id === id));
      return {
        id,
        cost: own.reduce((sum, path) => sum + (path?.cost ?? 0), 0),
        moves: ladders.flatMap(
          ({ tonics }, group) => own[group]?.moves ?? tonics.map(() => 'rest' as const),
        ),
      };
    }),
    ...(beyond.length > 0 ? { beyond } : {}),
  };
}

/**
 * The groups' ladders at the same time, as one on the tonics of the first: what a part of another group
 * sings is as far from them as its own tonic lies, and as it moves from that.
 */
export function sideBySide(
  sections: readonly Pick<Voice, 'id'>[],
  ladders: readonly Ladder[],
): Ladder {
  const { start, tonics } = ladders[0]!;
  const beyond = [...new Set(ladders.flatMap((ladder) => ladder.beyond ?? []))];
  return {
    kind: 'ladder',
    start,
    tonics,
    cost: ladders.reduce((sum, { cost }) => sum + cost, 0),
    paths: sections.map(({ id }) => {
      const own = ladders.find(({ paths }) => paths.some((path) => path.id === id))!;
      const { cost, moves } = own.paths.find((path) => path.id === id)!;
      const seen = moves.map((move, i) =>
        move === 'rest' ? move : move + own.tonics[i]! - tonics[i]!,
      );
      return { id, cost, moves: seen };
    }),
    ...(beyond.length > 0 ? { beyond } : {}),
  };
}
