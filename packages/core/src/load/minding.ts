import { cautionsNeeded, type Caution, type ToCaution } from '../exercise/cautions';
import { strongFrom } from '../planner';
import type { Condition, SingerState } from '../voices';
import type { Occasion } from '../evening/occasion';

/** A segment as what is to be minded and remembered is told from it. */
export interface MindedSegment extends ToCaution {
  readonly name: string;
  /** What everybody holds, in words. */
  readonly held?: string | undefined;
}

/** A caution of a warm-up that meets who is here, with the segments it stands at. */
export type Minded =
  /** So many singers whose voice is changing. */
  | { readonly code: 'changing'; readonly singers: number; readonly segments: readonly string[] }
  /** So many who are ill or come back from being ill, and strong singing. */
  | { readonly code: 'unwell'; readonly singers: number; readonly segments: readonly string[] }
  /** Cold voices, and first sounds. */
  | { readonly code: 'cold'; readonly segments: readonly string[] };

/** How those who are here are, and how the choir comes. */
export interface WhoIsHere {
  readonly condition: Condition;
  readonly states: Readonly<Partial<Record<SingerState, number>>>;
}

/** The cautions of a warm-up that meet tonight's singers. */
export function mindedTonight(
  segments: readonly MindedSegment[],
  { condition, states }: WhoIsHere,
): Minded[] {
  const named = (is: (one: MindedSegment) => boolean) =>
    segments.filter(is).map(({ name }) => name);
  const changing = states.changing ?? 0;
  const unwell = (states.ill ?? 0) + (states.returning ?? 0);
  const minding = (caution: Caution) => named((one) => cautionsNeeded(one).includes(caution));
  const inRange = minding('changing');
  const strong = named(({ effort }) => effort >= strongFrom);
  const first = minding('cold');
  const isCold = condition === 'cold' || condition === 'morning';
  return [
    ...(changing > 0 && inRange.length > 0
      ? [{ code: 'changing', singers: changing, segments: inRange } as const]
      : []),
    ...(unwell > 0 && strong.length > 0
      ? [{ code: 'unwell', singers: unwell, segments: strong } as const]
      : []),
    ...(isCold && first.length > 0 ? [{ code: 'cold', segments: first } as const] : []),
  ];
}

/** Something to be done before the evening, so many days before it. */
export type Reminder = { readonly days: number } & (
  | {
      readonly code: 'bring';
      readonly things: readonly string[];
      readonly segments: readonly string[];
    }
  | { readonly code: 'neighbours'; readonly segments: readonly string[] }
  | { readonly code: 'rest' }
);

/** What has to be remembered before an evening, one each where it helps. */
export function remindersFor(segments: readonly MindedSegment[], occasion: Occasion): Reminder[] {
  const brought = segments.filter(({ needs }) => needs.includes('prop'));
  const noisy = segments.filter(({ needs }) => needs.includes('noise'));
  const names = (some: readonly MindedSegment[]) => some.map(({ name }) => name);
  const reminders: Reminder[] = [];
  if (brought.length > 0) {
    const things = [...new Set(brought.flatMap(({ held }) => held ?? []))];
    reminders.push({ code: 'bring', days: 1, things, segments: names(brought) });
  }
  if (noisy.length > 0) reminders.push({ code: 'neighbours', days: 2, segments: names(noisy) });
  if (occasion === 'before a performance') reminders.push({ code: 'rest', days: 1 });
  return reminders;
}
