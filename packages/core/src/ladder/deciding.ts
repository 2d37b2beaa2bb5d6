import { fitOnTonic } from '../fit/fit';
import type { MidiNote, Semitones } from '../units';
import { ladderFrom } from './ladder';
import { pathOf, patternIn, type Ladder, type LadderProblem, type Move } from './problem';

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
      const fit = fitOnTonic(section, patternIn(problem, section.id, i), tonic, move);
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

/** In how many keys each part of a ladder goes beyond its reach; those that never do are left out. */
export function beyondReach(
  ladder: Ladder,
  problem: LadderProblem,
): readonly { readonly part: string; readonly keys: number; readonly end: 'top' | 'bottom' }[] {
  return ladder.paths.flatMap(({ id, moves }) => {
    const { reach, ...section } = problem.sections.find((one) => one.id === id)!;
    const fits = moves.flatMap((move, i) => {
      if (move === 'rest') return [];
      const fit = fitOnTonic(
        { ...section, reach },
        patternIn(problem, id, i),
        ladder.tonics[i]!,
        move,
      );
      return fit.low < reach[0] || fit.high > reach[1] ? [fit] : [];
    });
    const isHigh = fits.some(({ high }) => high > reach[1]);
    return fits.length > 0 ? [{ part: id, keys: fits.length, end: isHigh ? 'top' : 'bottom' }] : [];
  });
}

/** What stands against a start a semitone further one way: the part that would lose most, and what. */
export type Deciding = { readonly direction: 1 | -1; readonly part: string } & (
  | { readonly kind: 'out of reach' }
  | { readonly kind: 'rests'; readonly more: number }
  | { readonly kind: 'note'; readonly note: MidiNote; readonly tonic: MidiNote }
  | { readonly kind: 'cost'; readonly by: number }
);

/** The part that loses most from one ladder to another, and by how many points. */
function mostAffected(from: Ladder, to: Ladder): { id: string; by: number } {
  return from.paths
    .map(({ id, cost }) => ({ id, by: (pathOf(to, id)?.cost ?? Infinity) - cost }))
    .reduce((a, b) => (b.by > a.by ? b : a));
}

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
    const fit = fitOnTonic(section, patternIn(problem, section.id, i), tonic, move);
    return [{ note: direction > 0 ? fit.high : fit.low, tonic }];
  });
  return notes.reduce<{ note: MidiNote; tonic: MidiNote } | undefined>(
    (a, b) => (!a || (b.note - a.note) * direction > 0 ? b : a),
    undefined,
  );
}

/**
 * What decides where a ladder starts: the part and note that stand against a start one semitone
 * higher (1) or lower (−1); undefined when nothing does.
 */
export function whatDecides(
  ladder: Ladder,
  problem: LadderProblem,
  direction: 1 | -1,
): Deciding | undefined {
  const next = ladderFrom(problem, ladder.start + direction);
  if (!next) {
    const stopped = problem.sections.find(
      (section) => !ladderFrom({ ...problem, sections: [section] }, ladder.start + direction),
    );
    return stopped && { direction, part: stopped.id, kind: 'out of reach' };
  }
  const { id: part, by } = mostAffected(ladder, next);
  if (by <= 0) return undefined;
  const rests = (of: Ladder) =>
    pathOf(of, part)!.moves.filter((move: Move) => move === 'rest').length;
  const more = rests(next) - rests(ladder);
  if (more > 0) return { direction, part, kind: 'rests', more };
  const furthest = furthestNote(next, problem, part, direction);
  const present = furthestNote(ladder, problem, part, direction);
  if (furthest && present && (furthest.note - present.note) * direction > 0) {
    return { direction, part, kind: 'note', ...furthest };
  }
  return { direction, part, kind: 'cost', by };
}
