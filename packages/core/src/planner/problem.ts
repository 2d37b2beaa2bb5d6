import type { MidiNote, Seconds } from '../units';

/** A phase of an approach, in the order of its visit; a phase visited twice stands twice, under two ids. */
export interface PlannerPhase {
  readonly id: string;
  /** Whether at least one segment of it has to be there. */
  readonly required: boolean;
  readonly least: Seconds;
  readonly most: Seconds;
  /** At most so many strong segments. */
  readonly strong: number;
}

/** A segment that could be in the plan: one way of doing one exercise in one phase. */
export interface Candidate {
  readonly id: string;
  readonly exercise: string;
  readonly phase: string;
  readonly seconds: Seconds;
  /** Its own points: how fresh it is, less what it strains, asks and takes (docs/model.md, section 10). Whole. */
  readonly points: number;
  /** Seconds led on each skill. */
  readonly serves: Readonly<Record<string, Seconds>>;
  /** The highest and the lowest note of each part; null for what has no pitch. */
  readonly high: Readonly<Record<string, MidiNote>> | null;
  readonly low: Readonly<Record<string, MidiNote>> | null;
  /** Its greatest note, brought to the treble octave. */
  readonly top: MidiNote | null;
  /** Of effort 4 or 5. */
  readonly strong: boolean;
}

/** Notes from one to another, both of which count. */
export type NoteRange = readonly [from: MidiNote, to: MidiNote];

/** What tonight's music asks of a part: how far up and how far down it has to have been. */
export interface PlannerNeed {
  readonly top?: NoteRange | undefined;
  readonly bottom?: NoteRange | undefined;
}

/** A problem of the planner (docs/model.md, section 10). */
export interface PlannerProblem {
  /** The plan takes at most so long, and at least that less the slack. */
  readonly seconds: Seconds;
  readonly slack: Seconds;
  /** The top that counts as reached before the first pitched segment; null leaves the rule of the rise off. */
  readonly reached: MidiNote | null;
  /** Strong segments come after a segment of each of these phases; of several in one entry, any will do. */
  readonly strongAfter: readonly (string | readonly string[])[];
  readonly phases: readonly PlannerPhase[];
  /** How much each skill is wished for: 1 to 3. */
  readonly wishes: Readonly<Record<string, number>>;
  readonly needs: Readonly<Record<string, PlannerNeed>>;
  readonly candidates: readonly Candidate[];
  /** Candidates that have to be in it, by id. */
  readonly pinned: readonly string[];
  /** Exercises that must not be in it. */
  readonly excluded: readonly string[];
  /** Exercises that have to be in it, each in any of its ways. */
  readonly included?: readonly string[] | undefined;
  /** How many really different plans there should be beside the best one. */
  readonly alternatives: number;
}

/** The points of a plan by where they come from; they add up. */
export interface PointParts {
  readonly skills: number;
  readonly needs: number;
  readonly own: number;
}

/** A plan that was built. */
export interface BuiltPlan {
  /** The ids of its candidates, in the order sung. */
  readonly selection: readonly string[];
  readonly points: number;
  readonly parts: PointParts;
  /** No plan can have more; equal to its points when it is proven best. */
  readonly bound: number;
}

/** How far above what was reached before a segment's top may lie: a fourth. */
export const greatestRise = 5;

/** The place of each phase by its id. */
export const placesOf = ({ phases }: PlannerProblem): ReadonlyMap<string, number> =>
  new Map(phases.map(({ id }, place) => [id, place]));

/** Candidates of phases that are in the problem, by id; an id that stands twice is its first. */
export const candidatesById = ({ candidates }: PlannerProblem): ReadonlyMap<string, Candidate> => {
  const byId = new Map<string, Candidate>();
  for (const one of candidates) if (!byId.has(one.id)) byId.set(one.id, one);
  return byId;
};

/** The places of the phases that have to lead up to strong segments, entry by entry; phases that are not there ask for nothing. */
export function leadsOf(
  { strongAfter }: Pick<PlannerProblem, 'strongAfter'>,
  places: ReadonlyMap<string, number>,
): readonly (readonly number[])[] {
  return strongAfter
    .map((entry) =>
      (typeof entry === 'string' ? [entry] : entry).flatMap((id) => places.get(id) ?? []),
    )
    .filter((lead) => lead.length > 0);
}
