import type { MidiNote, Semitones } from '../units';
import { fitOnTonic } from '../fit/fit';
import {
  countInWords,
  noteName,
  semitonesInWords,
  tonicName,
  type AccidentalPreference,
  type Mode,
} from '../pitch';
import { listInWords, partName, type PartName } from '../voices/parts';
import { ladderFrom } from './ladder';
import type { Infeasible, Ladder, LadderProblem, Move, PartPath } from './problem';

/** How the sentences about a ladder name parts, keys and notes. */
export interface Wording {
  readonly mode?: Mode;
  readonly accidentals?: AccidentalPreference;
  readonly parts?: (id: string) => PartName;
}

const many = (wording: Wording, id: string): string => (wording.parts ?? partName)(id).many;
const one = (wording: Wording, id: string): string => (wording.parts ?? partName)(id).one;

export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A stretch of keys in which a part does the same: from index `from` up to and with `to`. */
interface Run {
  readonly move: Move;
  readonly from: number;
  readonly to: number;
}

function runsOf(moves: readonly Move[]): Run[] {
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
    const count = length === 1 ? 'key' : `${countInWords(length)} keys`;
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
    const doing = run.move === 'rest' ? 'rest' : `sing ${octaveInWords(run.move - usual)}`;
    doings.set(doing, [...(doings.get(doing) ?? []), whereInWords(run, names)]);
  }
  const phrases = [...doings].map(([doing, places]) => `${doing} ${listInWords(places)}`);
  return phrases.length > 0 ? phrases.join(', then ') : undefined;
}

/** «altos rest from E», for all parts that do not simply sing as usual; parts that do alike together. */
export function movesInWords(
  ladder: Ladder,
  sections: LadderProblem['sections'],
  wording: Wording = {},
): string[] {
  const names = ladder.tonics.map((tonic) => tonicName(tonic, wording.mode, wording.accidentals));
  const phrases = new Map<string, string[]>();
  for (const path of ladder.paths) {
    const usual = sections.find(({ id }) => id === path.id)?.octave ?? 0;
    const phrase = runsInWords(runsOf(path.moves), usual, names);
    if (!phrase) continue;
    phrases.set(phrase, [...(phrases.get(phrase) ?? []), many(wording, path.id)]);
  }
  return [...phrases].map(([phrase, parts]) => `${listInWords(parts)} ${phrase}`);
}

interface Overstep {
  readonly part: string;
  readonly end: 'top' | 'bottom';
  readonly by: Semitones;
  readonly note: MidiNote;
  readonly tonic: MidiNote;
}

/** For each part and end the note of this ladder that leaves its comfort furthest. */
function oversteps(ladder: Ladder, problem: LadderProblem): Overstep[] {
  return ladder.paths.flatMap((path) => {
    const section = problem.sections.find(({ id }) => id === path.id)!;
    const worst: Partial<Record<'top' | 'bottom', Overstep>> = {};
    path.moves.forEach((move, i) => {
      if (move === 'rest') return;
      const tonic = ladder.tonics[i]!;
      const fit = fitOnTonic(section, problem.pattern, tonic, move);
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
      tonicName(tonic, wording.mode, wording.accidentals);
    phrases.set(phrase, [...(phrases.get(phrase) ?? []), many(wording, part)]);
  }
  return [...phrases].map(([phrase, parts]) => `${listInWords(parts)} ${phrase}`);
}

const pathOf = (ladder: Ladder, id: string): PartPath | undefined =>
  ladder.paths.find((path) => path.id === id);

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
    const note = noteName(furthest.note, wording.accidentals);
    const key = tonicName(furthest.tonic, wording.mode, wording.accidentals);
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
    const fit = fitOnTonic(section, problem.pattern, tonic, move);
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

/** Phrases as sentences. */
export const asSentences = (phrases: readonly string[]): string[] =>
  phrases.map((phrase) => `${capitalise(phrase)}.`);

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
  const moves = movesInWords(ladder, problem.sections, wording);
  const everyone =
    edges.length === 0 && moves.length === 0
      ? ['every part sings every key in its comfort, in its usual octave']
      : [];
  const goal = problem.goalTonic;
  const top = Math.max(...ladder.tonics);
  const short =
    goal !== undefined && top < goal
      ? [
          `the top key ${tonicName(top, wording.mode, wording.accidentals)} stays ` +
            `${semitonesInWords(goal - top)} below what tonight’s music needs`,
        ]
      : [];
  return asSentences([...everyone, ...moves, ...edges, ...short, ...deciding]);
}

/** Why no start works, and what would help. */
export function infeasibleInWords(
  { part, end }: Infeasible,
  problem: LadderProblem,
  wording: Wording = {},
): string {
  const way = end === 'top' ? 'too high' : 'too low';
  const help = ['a narrower pattern'];
  if (problem.keys > 1) help.push('fewer keys');
  const moves = problem.pattern.octaveMoves;
  if (moves && !(moves.includes(12) && moves.includes(-12))) help.push('another octave');
  if (problem.pattern.mayRest === false) help.push(`letting the ${many(wording, part)} rest`);
  if (problem.pattern.strict) help.push('letting it touch the edge of the comfort');
  const choices =
    help.length === 1 ? help[0]! : `${help.slice(0, -1).join(', ')} or ${help[help.length - 1]!}`;
  return `No start works: it lies ${way} for the ${many(wording, part)} in more keys than they may rest. What helps: ${choices}.`;
}

/** What a start chosen by hand costs against the best one, with the parts that pay most. */
export function chosenStartInWords(
  chosen: Ladder,
  best: Ladder,
  problem: LadderProblem,
  wording: Wording = {},
): string {
  const name = (tonic: MidiNote) => tonicName(tonic, wording.mode, wording.accidentals);
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
    const note = edge && ` to ${noteName(edge.note, wording.accidentals)}`;
    const rests = pathOf(chosen, id)!.moves.filter((move) => move === 'rest').length;
    const more = rests - pathOf(best, id)!.moves.filter((move) => move === 'rest').length;
    const resting = more > 0 ? `, ${countInWords(more)} more ${more === 1 ? 'rest' : 'rests'}` : '';
    return `${one(wording, id)} ${by}${note ?? ''}${resting}`;
  });
  const who = payers.length > 0 ? ` (${payers.join('; ')})` : '';
  return `Start ${name(chosen.start)} costs ${points} ${points === 1 ? 'point' : 'points'} more than ${name(best.start)}${who}.`;
}
