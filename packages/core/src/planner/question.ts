import { stageWindow } from '../fit/fit';
import { phaseFraction, type Phase } from '../exercise/vocabulary';
import type { Tonight } from '../plan/keys';
import type { MidiNote, Seconds } from '../units';
import { visitsOf, type Approach } from './approaches';
import type { PlannerNeed, PlannerPhase, PlannerProblem } from './problem';
import { variantsOf, type PlannableExercise, type PlannerSetting, type Variant } from './variants';

/** The least and the most time of a phase, where it is asked for. */
export interface PhaseWish {
  readonly least?: Seconds | undefined;
  readonly most?: Seconds | undefined;
}

/** What is asked of a warm-up. */
export interface Question extends PlannerSetting {
  readonly seconds: Seconds;
  readonly exercises: readonly PlannableExercise[];
  /** How much each skill is wished for: 1 to 3. */
  readonly wishes: Readonly<Record<string, number>>;
  /** How far each part has to be brought; as tonight's music asks where it is not said. */
  readonly needs?: Readonly<Record<string, PlannerNeed>> | undefined;
  /** Segments that stay as they are. */
  readonly pinned?: readonly Variant[] | undefined;
  readonly excluded?: readonly string[] | undefined;
  /** Exercises that have to be in it, in any way. */
  readonly included?: readonly string[] | undefined;
  /** Other limits of phases than the approach has, by phase. */
  readonly limits?: Readonly<Partial<Record<Phase, PhaseWish>>> | undefined;
  /** Whether nothing strong may be in it. */
  readonly quiet?: boolean | undefined;
  readonly alternatives?: number | undefined;
  /** Where ways are remembered from another question with the same setting. */
  readonly ways?: typeof variantsOf | undefined;
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

/**
 * The phases with what is asked of each.
 * @param further phases that only what is asked for needs; those the approach lacks come at the end
 */
export function phasesAsked(
  question: Pick<Question, 'approach' | 'seconds' | 'limits'>,
  further: ReadonlySet<Phase> = new Set(),
): PlannerPhase[] {
  const { approach, seconds, limits = {} } = question;
  const phaseOf = new Map(visitsOf(approach).map(({ id, phase }) => [id, phase]));
  const known = new Set(phaseOf.values());
  const more = [...further]
    .filter((phase) => !known.has(phase))
    .map((id): PlannerPhase => ({ id, required: false, least: 0, most: seconds, strong: 1 }));
  return [...phasesIn(approach, seconds), ...more].map((one) => {
    const { least = one.least, most = one.most } =
      limits[phaseOf.get(one.id) ?? (one.id as Phase)] ?? {};
    // What may have no time at all is not asked for either.
    return { ...one, least, most: Math.max(most, least), required: one.required && most > 0 };
  });
}

/** A segment that stands twice has an exercise of its own: only what is chosen may not come again. */
function apart(pinned: readonly Variant[]): Variant[] {
  const times = new Map<string, number>();
  return pinned.map((variant) => {
    const { candidate } = variant;
    const time = (times.get(candidate.exercise) ?? 0) + 1;
    times.set(candidate.exercise, time);
    const exercise = time === 1 ? candidate.exercise : `${candidate.exercise}#${time}`;
    return { ...variant, candidate: { ...candidate, exercise } };
  });
}

/** Phases that lead the voice up to strong singing. */
export const leadingUp: readonly string[] = ['onset', 'resonance'];

/** Makes a problem of a question: every exercise of a phase in all its ways, and what is known of tonight. */
export function ask(question: Question): PlannerAsked {
  const { seconds, exercises, approach, tonight, included = [], ways = variantsOf } = question;
  const pinned = apart(question.pinned ?? []);
  const further = new Set<Phase>([
    ...pinned.map(({ candidate }) => candidate.phase as Phase),
    ...exercises.filter(({ id }) => included.includes(id)).map(({ phase }) => phase),
    ...(Object.keys(question.limits ?? {}) as Phase[]),
  ]);
  const phases = phasesAsked(question, further);
  const visits = visitsOf(approach);
  const phaseOf = (id: string) => visits.find((visit) => visit.id === id)?.phase ?? id;
  const variants = new Map<string, Variant>();
  for (const { id: visit } of phases) {
    for (const exercise of exercises) {
      if (exercise.phase !== phaseOf(visit)) continue;
      for (const variant of ways(exercise, question, visit)) {
        if (question.quiet && variant.candidate.strong) continue;
        variants.set(variant.candidate.id, variant);
      }
    }
  }
  for (const variant of pinned) variants.set(variant.candidate.id, variant);
  const problem: PlannerProblem = {
    seconds,
    slack: Math.min(seconds, usualSlack),
    reached: approach.rise ? reachedAtFirst(tonight) : null,
    strongAfter: visits.flatMap(({ id }) => (leadingUp.includes(id) ? [id] : [])),
    phases,
    wishes: question.wishes,
    needs: question.needs ?? needsOf(tonight),
    candidates: [...variants.values()].map(({ candidate }) => candidate),
    pinned: pinned.map(({ candidate }) => candidate.id),
    excluded: question.excluded ?? [],
    ...(included.length > 0 ? { included: [...included] } : {}),
    alternatives: question.alternatives ?? 2,
  };
  return { problem, variants };
}
