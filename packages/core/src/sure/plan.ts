import type { Repetition } from '../fit/sounding';
import type { PitchRange } from '../units';
import { sectionSureness, type SectionSureness, type UnsureSinger } from './singers';

/** A part in a key of which it is not sure that enough are comfortable. */
export interface UnsureKey {
  readonly segment: string;
  /** Which of the segment's repetitions. */
  readonly repetition: number;
  readonly part: string;
  /** The chance that too few are. */
  readonly tooFew: number;
}

/** A chance above this is worth saying. */
export const worthSaying = 0.2;

/** How sure each part is of a span of notes; every span is worked out once. */
export function spanSureness(
  parts: Readonly<Record<string, readonly UnsureSinger[]>>,
  wanted: number,
): (part: string, span: PitchRange) => SectionSureness | undefined {
  const known = new Map<string, SectionSureness>();
  return (part, span) => {
    const singers = Object.hasOwn(parts, part) ? parts[part]! : [];
    // Where nobody's range is known, usual figures stand in, of which nothing can be said.
    if (singers.length === 0) return undefined;
    const key = `${part} ${span[0]} ${span[1]}`;
    const found = known.get(key) ?? sectionSureness(singers, span, wanted);
    known.set(key, found);
    return found;
  };
}

/** The keys and parts of a plan in which it is more likely than one evening in five that too few are comfortable. */
export function unsureKeys(
  segments: readonly { readonly id: string; readonly repetitions: readonly Repetition[] }[],
  sureness: ReturnType<typeof spanSureness>,
): UnsureKey[] {
  return segments.flatMap(({ id, repetitions }) =>
    repetitions.flatMap(({ parts }, repetition) =>
      parts.flatMap((sounding): UnsureKey[] => {
        if (sounding.does !== 'sing') return [];
        const { part, fit } = sounding;
        const found = sureness(part, [fit.low, fit.high]);
        return found && found.tooFew > worthSaying
          ? [{ segment: id, repetition, part, tooFew: found.tooFew }]
          : [];
      }),
    ),
  );
}
