import type { PartNeed, Tonight } from '@wide-fern/core';
import type { Evaluated } from './evaluate';

/** The part whose top in tonight's music lies nearest to the end of its comfort, or beyond it. */
export function decidingNeed({ sections, needs }: Tonight): PartNeed | undefined {
  const room = (need: PartNeed): number =>
    (sections.find(({ id }) => id === need.part)?.comfort[1] ?? 127) - need.highest;
  return needs.reduce<PartNeed | undefined>((a, b) => (!a || room(b) < room(a) ? b : a), undefined);
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

/** The need that a segment meets: the deciding one, when it climbs to its note. */
export function needMet(evaluated: Evaluated, tonight: Tonight): PartNeed | undefined {
  const need = decidingNeed(tonight);
  if (!need) return undefined;
  const highest = highestSung([evaluated], need.part);
  return highest !== undefined && highest >= need.highest ? need : undefined;
}
