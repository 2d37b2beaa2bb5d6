import type { Managing } from '../run';
import type { Seconds } from '../units';

/** What has to be managed before the next step: as it was judged, keys of one evening, or seconds out on one breath. */
export type CourseNeed =
  | { readonly kind: 'managed'; readonly by: 'most' | 'all' }
  | { readonly kind: 'keys'; readonly keys: number }
  | { readonly kind: 'breath'; readonly seconds: Seconds };

/** One exercise of a course, and when it is managed. */
export interface CourseStep {
  readonly exercise: string;
  readonly need: CourseNeed;
  /** In how many evenings it has to be managed. */
  readonly evenings: number;
}

/** An exercise as it was led once, as far as a course asks. */
export interface LedForCourse {
  readonly exercise: string;
  /** A moment; what was led in one run has the same. */
  readonly ledAt: string;
  readonly managed: Managing | null;
  /** Different keys that were sung. */
  readonly keys: number;
  /** The longest stretch out on one breath, in seconds; null where breath is not counted. */
  readonly breath: Seconds | null;
}

/** Sums of counts are nearly whole: so near a need it is met. */
const near = 0.05;

/** Whether what a step needs was managed that once; «few managed» never is. */
export function isManaged(need: CourseNeed, { managed, keys, breath }: LedForCourse): boolean {
  if (managed === 'few') return false;
  switch (need.kind) {
    case 'managed':
      return managed === 'all' || (managed === 'most' && need.by === 'most');
    case 'keys':
      return keys >= need.keys;
    case 'breath':
      return breath !== null && breath + near >= need.seconds;
  }
}

/** How far a choir is with one step. */
export interface StepWay {
  readonly step: CourseStep;
  /** The moments at which it was led, and at which it was managed, each evening once, in their order. */
  readonly led: readonly string[];
  readonly managed: readonly string[];
  /** When it was managed often enough; null while it was not. */
  readonly doneAt: string | null;
}

/** How far a choir is on a course. */
export interface CourseWay {
  readonly steps: readonly StepWay[];
  /** The place of the step to do next: the first that is not done; null when all are. */
  readonly next: number | null;
}

const moments = (led: readonly LedForCourse[]): string[] =>
  [...new Set(led.map(({ ledAt }) => ledAt))].sort();

/**
 * How far a choir is on a course (docs/model.md, section 13): a step is done with the evening in which what it
 * needs was managed for the last of its times; whatever was led before the course was begun does not count.
 * @param since the moment from which on it counts
 */
export function courseWay(
  steps: readonly CourseStep[],
  led: readonly LedForCourse[],
  since: string,
): CourseWay {
  const ways = steps.map((step): StepWay => {
    const own = led.filter(({ exercise, ledAt }) => exercise === step.exercise && ledAt >= since);
    const managed = moments(own.filter((once) => isManaged(step.need, once)));
    return { step, led: moments(own), managed, doneAt: managed[step.evenings - 1] ?? null };
  });
  const next = ways.findIndex(({ doneAt }) => doneAt === null);
  return { steps: ways, next: next < 0 ? null : next };
}
