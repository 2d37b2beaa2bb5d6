import type { KeyColumn, Move, PitchRange, Section, SectionSureness } from '@wide-fern/core';

/** How sure a part is of a span of notes. */
export type Sure = (part: string, span: PitchRange) => SectionSureness | undefined;

/** The chance that too few of a part are comfortable in a key as it is sung there; undefined where it rests or nothing is known. */
export function tooFewIn(
  sure: Sure | undefined,
  { id, octave }: Section,
  { tonic, fits }: KeyColumn,
  { move, holds }: { readonly move: Move | undefined; readonly holds: boolean },
): number | undefined {
  const fit = fits[id];
  if (!fit || move === 'rest') return undefined;
  if (holds && move !== undefined) return sure?.(id, [tonic + move, tonic + move])?.tooFew;
  const away = move === undefined ? 0 : move - octave;
  return sure?.(id, [fit.low + away, fit.high + away])?.tooFew;
}
