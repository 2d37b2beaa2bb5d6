import type { LedOnce } from '@wide-fern/contract';
import {
  chanceOnTime,
  likelyLength,
  segmentEstimate,
  type Observed,
  type Seconds,
} from '@wide-fern/core';
import type { EvaluatedPlan } from './evaluate';

/** What a choir's evenings say of how long exercises take. */
export interface LedTimes {
  /** Of each exercise that was led. */
  readonly of: ReadonlyMap<string, Observed>;
  /** The pace of all of them, for what was never led. */
  readonly paces: readonly number[];
}

/** From when on what was led of an exercise counts, where what was learned before was refused. */
export type LearnedFrom = Readonly<Record<string, { readonly learnedFrom?: string | undefined }>>;

/** Whether something that was led counts still. */
export function counts({ exercise, ledAt }: LedOnce, marks: LearnedFrom): boolean {
  const from = Object.hasOwn(marks, exercise) ? marks[exercise]!.learnedFrom : undefined;
  return from === undefined || Date.parse(ledAt) >= Date.parse(from);
}

/**
 * Gathers what was led by exercise (docs/model.md, section 13).
 * @param marks from when on it counts, where what was learned before was refused
 */
export function ledTimes(led: readonly LedOnce[], marks: LearnedFrom = {}): LedTimes {
  const of = new Map<string, { talks: number[]; paces: number[] }>();
  const paces: number[] = [];
  for (const one of led) {
    if (!counts(one, marks)) continue;
    const { exercise, talk, singing, planned } = one;
    const own = of.get(exercise) ?? { talks: [], paces: [] };
    of.set(exercise, own);
    own.talks.push(talk);
    // What nothing was planned of says nothing of the pace.
    if (planned <= 0) continue;
    own.paces.push(singing / planned);
    paces.push(singing / planned);
  }
  return { of, paces };
}

/** So much longer than planned is worth a word, in seconds, where it will hardly be on time for it. */
const worthAWord = 20;
const hardly = 0.5;

/** By how many seconds a plan will likely take longer than it is planned, where that makes it late; else undefined. */
export function longerBy({
  likely,
  total,
  chanceOnTime: chance,
}: Pick<EvaluatedPlan, 'likely' | 'total' | 'chanceOnTime'>): Seconds | undefined {
  const longer = likely.mean - total;
  return longer >= worthAWord && chance < hardly ? longer : undefined;
}

/** A plan with its likely end by what was led: each exercise by its own evenings, one that was never led by the pace of all. */
export function withLikely(plan: EvaluatedPlan, { of, paces }: LedTimes): EvaluatedPlan {
  const likely = likelyLength(
    plan.segments.map(({ segment, computed }) =>
      segmentEstimate(computed, of.get(segment.exercise.id) ?? { talks: [], paces }),
    ),
  );
  return { ...plan, likely, chanceOnTime: chanceOnTime(likely, plan.allotted) };
}
