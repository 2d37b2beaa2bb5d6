import { stageWindow } from '../fit/fit';
import { phaseFraction } from '../exercise/vocabulary';
import type { Tonight } from '../plan/keys';
import type { MidiNote, Seconds } from '../units';
import { visitsOf, type Approach } from './approaches';
import type { PlannerNeed, PlannerPhase, PlannerProblem } from './problem';
import { variantsOf, type PlannableExercise, type PlannerSetting, type Variant } from './variants';

/** What is asked of a warm-up. */
export interface Question extends PlannerSetting {
  readonly seconds: Seconds;
  readonly exercises: readonly PlannableExercise[];
  /** How much each skill is wished for: 1 to 3. */
  readonly wishes: Readonly<Record<string, number>>;
  /** Segments that stay as they are. */
  readonly pinned?: readonly Variant[] | undefined;
  readonly excluded?: readonly string[] | undefined;
  readonly alternatives?: number | undefined;
}

/** A question as the planner takes it, and what each of its candidates is. */
export interface PlannerAsked {
  readonly problem: PlannerProblem;
  readonly variants: ReadonlyMap<string, Variant>;
}

/** A warm-up may be so much shorter than the time set aside. */
const usualSlack: Seconds = 45;
/** However short the time: one segment of a phase has room. */
const roomForOne: Seconds = 110;
/** So many semitones below tonight's top, and above tonight's bottom, are to be sung up or down to. */
const stepsUp = 7;
const stepsDown = 3;

/** What counts as reached before anything pitched: the least, over the parts, of the upper end of the first phases' window. */
export function reachedAtFirst({ sections }: Tonight): MidiNote {
  return Math.min(
    ...sections.map(({ comfort, octave }) => stageWindow(comfort, phaseFraction.onset)[1] - octave),
  );
}

/** How far each part has to have been, by tonight's music. */
export function needsOf({ sections, needs }: Tonight): Record<string, PlannerNeed> {
  return Object.fromEntries(
    needs.flatMap(({ part, highest, lowest }) => {
      const section = sections.find(({ id }) => id === part);
      if (!section) return [];
      const [low, high] = section.comfort;
      const top = Math.min(highest, high);
      const bottom = Math.max(lowest, low);
      return [
        [
          part,
          { top: [top - stepsUp, top] as const, bottom: [bottom, bottom + stepsDown] as const },
        ],
      ];
    }),
  );
}

/** The phases of an approach in a time, in whole seconds. */
export const phasesIn = (approach: Approach, seconds: Seconds): PlannerPhase[] =>
  visitsOf(approach).map(({ id, required, least, most, strong = 1 }) => ({
    ...{ id, required, strong },
    least: Math.floor((seconds * least) / 100),
    most: Math.max(Math.ceil((seconds * most) / 100), Math.min(seconds, roomForOne)),
  }));

/** Phases that lead the voice up to strong singing. */
const leadingUp = ['onset', 'resonance'];

/** Makes a problem of a question: every exercise of a phase in all its ways, and what is known of tonight. */
export function ask(question: Question): PlannerAsked {
  const { seconds, exercises, approach, tonight, pinned = [] } = question;
  const variants = new Map<string, Variant>();
  for (const visit of visitsOf(approach)) {
    for (const exercise of exercises) {
      if (exercise.phase !== visit.phase) continue;
      for (const variant of variantsOf(exercise, question, visit.id)) {
        variants.set(variant.candidate.id, variant);
      }
    }
  }
  for (const variant of pinned) variants.set(variant.candidate.id, variant);
  const phases = phasesIn(approach, seconds);
  const problem: PlannerProblem = {
    seconds,
    slack: Math.min(seconds, usualSlack),
    reached: approach.rise ? reachedAtFirst(tonight) : null,
    strongAfter: phases.flatMap(({ id }) => (leadingUp.includes(id) ? [id] : [])),
    phases,
    wishes: question.wishes,
    needs: needsOf(tonight),
    candidates: [...variants.values()].map(({ candidate }) => candidate),
    pinned: pinned.map(({ candidate }) => candidate.id),
    excluded: question.excluded ?? [],
    alternatives: question.alternatives ?? 2,
  };
  return { problem, variants };
}
