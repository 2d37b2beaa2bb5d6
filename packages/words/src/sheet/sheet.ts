import type { ClockKind, PlanDocument } from '@wide-fern/contract';
import type { NoteWriting, Opening, Score, ScorePart, Seconds, Section } from '@wide-fern/core';
import { evaluate, type Evaluated, type EvaluatedPlan } from '@wide-fern/plan';
import { cautions } from '../cautions';
import { dayInWords } from '../dates';
import { clockIn, wordingFor, type Clock } from '../plan/words';
import type { Wording } from '../ladder/wording';
import { lengthInFigures } from '../time';

/** Words of one weight. */
export interface Run {
  readonly text: string;
  readonly strong?: true;
}
export type Line = readonly Run[];

/** Notes on a sheet: one key of a score, or what leads into each key. */
export type SheetNotes =
  | { readonly kind: 'score'; readonly score: Score }
  | {
      readonly kind: 'openings';
      readonly keys: readonly (Opening & { readonly name: string })[];
      readonly parts: readonly ScorePart[];
      readonly mode: Score['mode'];
    };

export interface SheetTable {
  readonly head: readonly string[];
  readonly rows: readonly { readonly name: string; readonly cells: readonly string[] }[];
}

/** What stands above every segment: when it is, how long, and its name. */
export interface Headed {
  readonly id: string;
  readonly clock: string;
  readonly length: string;
  readonly name: string;
}

/** A segment on paper, from the top down. */
export interface SheetEntry extends Headed {
  /** What stands small beside the name. */
  readonly beside: string;
  /** Above the notes. */
  readonly first: readonly Line[];
  readonly notes?: SheetNotes | undefined;
  /** Below the notes. */
  readonly lines: readonly Line[];
  readonly table?: SheetTable | undefined;
}

/** A warm-up on paper, for one reader. */
export interface SheetText {
  readonly title: string;
  readonly under: string;
  readonly entries: readonly SheetEntry[];
  readonly foot: readonly Line[];
}

/** For whom a sheet is. */
export const readers = ['lead', 'accompany', 'sing'] as const;
export type Reader = (typeof readers)[number];

/** What a sheet is made from. */
export interface SheetOf {
  /** When the warm-up begins, as a moment in milliseconds, and the time set aside for it. */
  readonly start: number;
  readonly allotted: Seconds;
  readonly place: string;
  readonly document: PlanDocument;
  readonly choir: string;
  readonly timeZone: string;
  readonly clock: ClockKind;
  readonly writing: NoteWriting;
}

/** What the words of one segment need. */
export interface OfSegment extends Evaluated {
  readonly sections: readonly Section[];
  readonly wording: Wording;
  readonly writing: NoteWriting;
}

export const plain = (text: string): Line => [{ text }];
export const strong = (text: string): Run => ({ text, strong: true });

/** A sheet with its head, an entry for every segment that has one, and what to mind below. */
export function sheetWith<E extends object = Omit<SheetEntry, keyof Headed>>(
  of: SheetOf,
  entryOf: (segment: OfSegment) => E | undefined,
  under: (plan: EvaluatedPlan, clock: Clock) => string,
): Omit<SheetText, 'entries'> & { readonly entries: readonly (Headed & E)[] } {
  const { start, allotted, document, writing } = of;
  const plan = evaluate(document, allotted);
  const clock = clockIn(of.timeZone, of.clock);
  const { sections } = document.tonight;
  const entries = plan.segments.flatMap((evaluated): (Headed & E)[] => {
    const { segment, computed } = evaluated;
    const wording = wordingFor(sections, segment, writing);
    const entry = entryOf({ ...evaluated, sections, wording, writing });
    if (!entry) return [];
    return [
      {
        id: segment.id,
        clock: clock.minute(start + Math.round(computed.placed.from) * 1000),
        length: lengthInFigures(computed.placed.shown),
        name: segment.exercise.name,
        ...entry,
      },
    ];
  });
  const shown = new Set(entries.map(({ id }) => id));
  return {
    title: dayInWords(start, of.timeZone),
    under: under(plan, clock),
    entries,
    foot: toMind(plan.segments.filter(({ segment }) => shown.has(segment.id))),
  };
}

/** What hurts is for all; each other caution stands once, with the exercises it belongs to. */
function toMind(segments: readonly Evaluated[]): Line[] {
  const found = new Map<string, Set<string>>();
  for (const { segment } of segments) {
    for (const caution of segment.exercise.cautions) {
      if (caution === cautions.pain) continue;
      found.set(caution, (found.get(caution) ?? new Set()).add(segment.exercise.name));
    }
  }
  return [
    plain(cautions.pain),
    ...[...found].map(([caution, names]): Line => [
      strong(`${[...names].join(', ')}:`),
      { text: ` ${caution}` },
    ]),
  ];
}
