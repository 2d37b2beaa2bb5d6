import type { Need, Tonight } from '@wide-fern/contract';
import { noteName, type AccidentalPreference } from '@wide-fern/core';
import type { Evaluated } from './evaluate';

/** The part whose top in tonight's music lies nearest to the end of its comfort, or beyond it. */
export function decidingNeed({ bands, needs }: Tonight): Need | undefined {
  const room = (need: Need): number =>
    (bands.find(({ id }) => id === need.part)?.comfort[1] ?? 127) - need.highest;
  return needs.reduce<Need | undefined>((a, b) => (!a || room(b) < room(a) ? b : a), undefined);
}

/** The highest note a part sings anywhere in some segments; undefined when it sings none. */
export function highestSung(segments: readonly Evaluated[], part: string): number | undefined {
  const tops = segments.flatMap(({ computed }) =>
    computed.repetitions.flatMap(({ parts }) =>
      parts.flatMap((one) => (one.part === part && one.does === 'sing' ? [one.fit.high] : [])),
    ),
  );
  return tops.length > 0 ? Math.max(...tops) : undefined;
}

/** «Reaches the F5 that “Lanterns over Slate” needs.», when this segment does. */
export function needMetInWords(
  evaluated: Evaluated,
  tonight: Tonight,
  accidentals: AccidentalPreference,
): string[] {
  const need = decidingNeed(tonight);
  if (!need) return [];
  const highest = highestSung([evaluated], need.part);
  if (highest === undefined || highest < need.highest) return [];
  return [`Reaches the ${noteName(need.highest, accidentals)} that “${need.highestIn}” needs.`];
}
