import type { PitchRange, Semitones } from '../units';
import type { RangeEnd } from './parts';

/** A part that a singer might take: its usual comfort, and the end by which it is told. */
export interface PartOffer {
  readonly id: string;
  readonly comfort: PitchRange;
  readonly end: RangeEnd;
}

/** How a singer's comfort fits one part. */
export interface PartFit {
  readonly part: string;
  /** Notes in both comforts, less two for each note missed at the telling end. */
  readonly score: number;
  readonly shared: number;
  /** Notes of the part's usual comfort that lie beyond the singer's, below and above. */
  readonly missing: { readonly bottom: Semitones; readonly top: Semitones };
}

/** A part within so many points of the best is named as possible. */
const nearlyAsGood = 3;

function fitOfPart([low, high]: PitchRange, { id, comfort, end }: PartOffer): PartFit {
  const [from, to] = comfort;
  const width = to - from + 1;
  const within = (notes: number): number => Math.min(width, Math.max(0, notes));
  const shared = Math.max(0, Math.min(high, to) - Math.max(low, from) + 1);
  const missing = { bottom: within(low - from), top: within(to - high) };
  return { part: id, score: shared - 2 * missing[end], shared, missing };
}

/**
 * The parts a singer's comfort suits: the best one first, then every one within three points of it
 * by falling score; ties in the choir's order. A suggestion with a reason, never an assignment
 * (docs/model.md, section 2).
 * @param parts at least one, in the choir's order.
 * @throws RangeError when there is no part.
 */
export function possibleParts(
  comfort: PitchRange,
  parts: readonly PartOffer[],
): readonly [PartFit, ...PartFit[]] {
  // A stable sort keeps the choir's order among equals.
  const [best, ...rest] = parts
    .map((part) => fitOfPart(comfort, part))
    .sort((a, b) => b.score - a.score);
  if (!best) throw new RangeError('A choir has at least one part.');
  return [best, ...rest.filter(({ score }) => best.score - score <= nearlyAsGood)];
}
