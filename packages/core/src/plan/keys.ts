import type { MidiNote, Semitones } from '../units';
import { spanOf, type Music, type PitchedMusic } from '../exercise/music';
import { rolesOf, spanOfPart, turnsOfLines } from '../exercise/roles';
import { phaseFraction, type Grouping } from '../exercise/vocabulary';
import { modes } from '../pitch';
import {
  bestChordLadder,
  bestLadder,
  chordLadderFrom,
  heldOctaves,
  keyOffsets,
  ladderAnyway,
  type ChordLadder,
  type ChordProblem,
  type Climb,
  type Infeasible,
  type Ladder,
  type LadderPattern,
  type LadderProblem,
} from '../ladder';
import type { PartNeed } from '../evening/needs';
import type { Condition } from '../voices/condition';
import type { Voice } from '../voices/parts';
import type { Section } from '../voices/section';
import { anchoredSections, anchoring } from './anchor';
import { groupKeys, groupingOf, highAndLow, inTurn, sideBySide, type GroupKeys } from './groups';
import type { PlannedExercise, SegmentChoices } from './planned';

/**
 * The keys of a segment: none, a ladder, or a chord's. `sung` is undefined when they cannot be sung; a
 * ladder from a start chosen by hand always is, and names the parts that go beyond their reach.
 */
export type SegmentKeys =
  | { readonly kind: 'none' }
  | {
      readonly kind: 'ladder';
      readonly problem: LadderProblem;
      readonly best: Ladder | Infeasible;
      readonly sung: Ladder | undefined;
      /** The ladder from the same start if nobody had been told anything, where somebody was. */
      readonly untold?: Ladder | undefined;
      /** High and low voices, each with keys of its own, and how they sing them. */
      readonly groups?: readonly GroupKeys[];
      readonly grouping?: Grouping;
    }
  | {
      readonly kind: 'chord';
      readonly problem: ChordProblem;
      readonly best: ChordLadder | undefined;
      readonly sung: ChordLadder | undefined;
    };

/** The ladder a part sings: all the same, or its group's own where groups sing together. */
export function ladderOfPart(
  { sung, groups, grouping }: Extract<SegmentKeys, { kind: 'ladder' }>,
  part: string,
): Ladder | undefined {
  if (grouping !== 'together') return sung;
  return groups?.find(({ problem }) => problem.sections.some(({ id }) => id === part))?.sung;
}

/** What keys rest on: the sections and the music of an evening. */
export interface Tonight {
  /** From the highest part to the lowest. */
  readonly sections: readonly Section[];
  /** What the evening's music asks of each part. */
  readonly needs: readonly PartNeed[];
  /** How the choir comes to it; rested when it is not said. */
  readonly condition?: Condition | undefined;
}

/** What single parts sing that is not what all sing: the holders of a drone, lines of their own. */
function ownPatterns(
  music: Music,
  sections: readonly Voice[],
  common: Omit<LadderPattern, 'lowest' | 'highest'>,
  turns: number,
): Record<string, LadderPattern> {
  const own: Record<string, LadderPattern> = {};
  sections.forEach(({ id }, place) => {
    const { length } = sections;
    const roles = rolesOf(music, place, length, turns);
    const span = roles.some(Boolean) && spanOfPart(music, place, length, turns);
    if (!span) return;
    own[id] = roles.every((role) => role?.kind === 'holds')
      ? { ...common, ...span, octaveMoves: heldOctaves, anyOctave: true }
      : { ...common, ...span };
  });
  return own;
}

/** How many turns of its lines a segment has: one where every part keeps its own. */
export const turnsIn = (
  music: Music,
  { linesInTurn, verses }: Pick<SegmentChoices, 'linesInTurn' | 'verses'>,
  parts: number,
): number => (linesInTurn ? Math.min(Math.max(1, verses), turnsOfLines(music, parts)) : 1);

/** How the keys of a segment move, as it was chosen. */
const climbOf = (
  { mode }: PitchedMusic,
  { shape, repetitions: keys, step, bySteps }: SegmentChoices,
): Climb => ({ shape, keys, step, ...(bySteps ? { scale: modes[mode].scale } : {}) });

/** The ladder problem of a pitched exercise other than a chord. */
function ladderProblem(
  exercise: PlannedExercise,
  music: PitchedMusic,
  choices: SegmentChoices,
  tonight: Tonight,
): LadderProblem {
  const { aim, anchor, phase } = exercise;
  const span = spanOf(music) ?? { lowest: 0, highest: 0 };
  const sections = anchoredSections(anchor, tonight.sections);
  const { fraction, strict, octaveMoves, mayRest } = exercise.keys ?? {};
  const given = (moves: readonly Semitones[] | undefined) => ({
    ...(strict === undefined ? {} : { strict }),
    ...(moves === undefined ? {} : { octaveMoves: moves }),
    ...(mayRest === undefined ? {} : { mayRest }),
  });
  const places = new Map(sections.map(({ id }, place) => [id, place]));
  const turns = turnsIn(music, choices, sections.length);
  const spanIn = (part: string) =>
    spanOfPart(music, places.get(part) ?? 0, sections.length, turns) ?? span;
  const anchored = anchoring(anchor, sections, spanIn, tonight.needs);
  const common = given(octaveMoves ?? anchored.octaveMoves);
  const own = ownPatterns(music, sections, common, turns);
  // Who has the trouble sings it where it is written, never an octave away.
  if (aim) {
    own[aim.part] = { ...(own[aim.part] ?? { ...span, ...common }), octaveMoves: [0] };
  }
  const { windows, goalBottomTonic } = anchored;
  const goal = aim?.tonic ?? anchored.goalTonic;
  const climb = climbOf(music, choices);
  return {
    ...climb,
    sections,
    pattern: { ...span, ...common },
    ...(Object.keys(own).length === 0 ? {} : { own }),
    fraction: fraction ?? anchored.fraction ?? phaseFraction[phase],
    ...(windows === undefined ? {} : { windows }),
    ...(goal === undefined ? {} : { goalTonic: goal }),
    ...(goalBottomTonic === undefined ? {} : { goalBottomTonic }),
    ...(aim
      ? { preferredStart: aim.tonic - Math.max(...keyOffsets(climb)) }
      : sections.every(({ id }) => own[id]?.anyOctave)
        ? { preferredStart: middleC }
        : {}),
  };
}

function chordProblem(
  { anchor, keys, phase }: PlannedExercise,
  music: Extract<PitchedMusic, { kind: 'chord' }>,
  choices: SegmentChoices,
  tonight: Tonight,
): ChordProblem {
  return {
    ...climbOf(music, choices),
    sections: anchoredSections(anchor, tonight.sections),
    tones: music.tones,
    fraction: keys?.fraction ?? phaseFraction[phase],
    ...(music.distinct ? { distinct: true } : {}),
  };
}

/** The chord ladders last asked for: a plan is computed anew on every change, and chords are its dearest part. */
const chords = new Map<string, ChordLadder | undefined>();
const mostRemembered = 40;

/** A chord ladder as it was found before for the same problem and start, else as it is found now. */
function remembered(
  { sections, ...problem }: ChordProblem,
  start: MidiNote | null,
  find: () => ChordLadder | undefined,
): ChordLadder | undefined {
  const limits = sections.map(({ comfort, reach }) => [comfort, reach]);
  const key = JSON.stringify([limits, problem, start]);
  if (chords.has(key)) return chords.get(key);
  const found = find();
  if (chords.size >= mostRemembered) chords.delete(chords.keys().next().value!);
  chords.set(key, found);
  return found;
}

/** The keys of groups, in turn or together, as one ladder. */
function keysOfGroups(
  problem: LadderProblem,
  groups: readonly GroupKeys[],
  grouping: Grouping,
): SegmentKeys {
  const { sections } = problem;
  const asOne = grouping === 'in turn' ? inTurn : sideBySide;
  const best = groups.flatMap((group) => (group.best.kind === 'ladder' ? [group.best] : []));
  const sung = groups.flatMap((group) => group.sung ?? []);
  const stuck = groups.find((group) => group.best.kind !== 'ladder')?.best;
  return {
    kind: 'ladder',
    problem,
    best: stuck ?? asOne(sections, best),
    sung: sung.length === groups.length ? asOne(sections, sung) : undefined,
    groups,
    grouping,
  };
}

/** Where everything is held, every key is as good; they begin around middle C. */
const middleC: MidiNote = 60;

/** The keys of a pitched segment: the best ones, or from the start chosen by hand. */
export function keysOf(
  exercise: PlannedExercise,
  music: PitchedMusic,
  choices: SegmentChoices,
  tonight: Tonight,
): SegmentKeys {
  const { start } = choices;
  if (music.kind === 'chord') {
    const problem = chordProblem(exercise, music, choices, tonight);
    const best = remembered(problem, null, () => bestChordLadder(problem));
    const sung =
      start === null ? best : remembered(problem, start, () => chordLadderFrom(problem, start));
    return { kind: 'chord', problem, best, sung };
  }
  const problem = ladderProblem(exercise, music, choices, tonight);
  const grouping = groupingOf(exercise);
  if (grouping) {
    const groups = highAndLow(tonight.sections).map((sections) =>
      ladderProblem(exercise, music, choices, { ...tonight, sections }),
    );
    return keysOfGroups(problem, groupKeys(groups, start), grouping);
  }
  const fixed = toldIn(choices);
  if (!fixed) return { kind: 'ladder', problem, ...fromStart(problem, start) };
  const asTold = { ...problem, fixed };
  const { best, sung } = fromStart(asTold, start);
  const untold = sung && ladderAnyway(problem, sung.start);
  return { kind: 'ladder', problem: asTold, best, sung, ...(untold ? { untold } : {}) };
}

/** The best ladder, and the one that is sung: the best, or from the start chosen by hand. */
function fromStart(
  problem: LadderProblem,
  start: MidiNote | null,
): { readonly best: Ladder | Infeasible; readonly sung: Ladder | undefined } {
  const best = bestLadder(problem);
  const found = best.kind === 'ladder' ? best : undefined;
  const isBest = start === null || start === found?.start;
  return { best, sung: isBest ? found : ladderAnyway(problem, start) };
}

/** What was told of the keys there are; undefined where nothing was. */
function toldIn({ told = {}, repetitions }: SegmentChoices): LadderProblem['fixed'] {
  const within = Object.entries(told).flatMap(([part, moves]) => {
    const there = Object.entries(moves).filter(([place]) => Number(place) < repetitions);
    return there.length > 0 ? [[part, Object.fromEntries(there)] as const] : [];
  });
  return within.length > 0 ? Object.fromEntries(within) : undefined;
}
