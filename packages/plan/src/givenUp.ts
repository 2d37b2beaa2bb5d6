import type { Choices, Segment } from '@wide-fern/contract';
import type { ComputedSegment, MidiNote, Strained, Tonight } from '@wide-fern/core';
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

/** The parts that sing in a key they gave up, or in a higher one. */
const singsThere = (
  { repetitions }: Pick<ComputedSegment, 'repetitions'>,
  given: readonly Strained[],
): string[] =>
  given
    .filter((one) =>
      repetitions.some(
        ({ tonic, parts }) =>
          tonic !== undefined &&
          tonic >= one.tonic &&
          parts.some(({ part, does }) => part === one.part && does === 'sing'),
      ),
    )
    .map(({ part }) => part);

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
  const parts = singsThere(present, given);
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
    if (!isSung || singsThere(then, given).length > 0) continue;
    const top = Math.max(...then.repetitions.flatMap(({ tonic }) => tonic ?? []));
    return { choices, top, parts };
  }
  return undefined;
}
