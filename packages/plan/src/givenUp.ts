import type { Choices, LedOnce, Segment } from '@wide-fern/contract';
import {
  givenUp,
  singsWhereGivenUp,
  type MidiNote,
  type Strained,
  type Tonight,
} from '@wide-fern/core';
import { computed } from './remembered';

/** A segment without the keys that parts gave up, and its highest key then. */
export interface WithoutGivenUp {
  readonly choices: Partial<Choices>;
  readonly top: MidiNote;
  /** Those who would sing again where they strained. */
  readonly parts: readonly string[];
}

/** So many semitones lower it may begin, before it is left alone. */
const lowest = 6;

/**
 * What leaves out the keys that parts gave up: fewer keys from the same start, else the same lower
 * (docs/model.md, section 13). Undefined where nobody sings there, and where nothing helps.
 */
export function withoutGivenUp(
  segment: Segment,
  tonight: Tonight,
  given: readonly Strained[],
): WithoutGivenUp | undefined {
  const present = computed(segment, tonight);
  const parts = singsWhereGivenUp(present, given).map(({ part }) => part);
  const { keys } = present;
  if (parts.length === 0 || keys.kind !== 'ladder' || !keys.sung) return undefined;
  const { start } = keys.sung;
  const { repetitions } = segment.choices;
  const ways: Partial<Choices>[] = [
    ...Array.from({ length: repetitions - 1 }, (_, i) => ({
      ...{ repetitions: repetitions - 1 - i, start },
    })),
    ...Array.from({ length: lowest }, (_, i) => ({ start: start - 1 - i })),
  ];
  for (const choices of ways) {
    const then = computed({ ...segment, choices: { ...segment.choices, ...choices } }, tonight);
    const isSung = then.keys.kind === 'ladder' && then.keys.sung && !then.keys.sung.beyond;
    if (!isSung || singsWhereGivenUp(then, given).length > 0) continue;
    const top = Math.max(...then.repetitions.flatMap(({ tonic }) => tonic ?? []));
    return { choices, top, parts };
  }
  return undefined;
}

/**
 * What parts gave up of each exercise, by its id.
 * @param led each time an exercise was led, the latest first
 * @param marks from when on what was led counts, where that was said
 */
export function givenUpBy(
  led: readonly Pick<LedOnce, 'exercise' | 'ledAt' | 'strained'>[],
  marks: Readonly<Record<string, { readonly learnedFrom?: string | undefined }>>,
): Record<string, readonly Strained[]> {
  const times = new Map<string, (readonly Strained[])[]>();
  for (const { exercise, ledAt, strained } of led) {
    const from = Object.hasOwn(marks, exercise) ? marks[exercise]!.learnedFrom : undefined;
    if (from !== undefined && Date.parse(ledAt) < Date.parse(from)) continue;
    times.set(exercise, [...(times.get(exercise) ?? []), strained]);
  }
  return Object.fromEntries(
    [...times].flatMap(([exercise, each]) => {
      const given = givenUp(each).map(({ part, tonic }) => ({ part, tonic }));
      return given.length > 0 ? [[exercise, given]] : [];
    }),
  );
}

/** What of the keys that were given up a segment leaves alone. */
export function leftAlone(
  segment: Segment,
  tonight: Tonight,
  given: readonly Strained[],
): Strained[] {
  const still = singsWhereGivenUp(computed(segment, tonight), given);
  return given.filter((one) => !still.includes(one));
}
