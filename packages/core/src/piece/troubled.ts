import type { PieceAnalysis } from './analysis';

/** What a mark says of bars. */
interface Marked {
  readonly fromBar: number;
  readonly toBar: number;
  readonly parts: readonly string[];
}

/**
 * The part that has the trouble in some bars: of those that are marked there, else of all, the one
 * whose hardest bar is the hardest (docs/model.md, section 9). Undefined when nobody sings there.
 * @param from, to printed numbers of bars
 */
export function troubledPart(
  analysis: Pick<PieceAnalysis, 'parts' | 'bars'>,
  marks: readonly Marked[],
  { from, to }: { readonly from: number; readonly to: number },
): string | undefined {
  const marked = new Set(
    marks.filter((mark) => mark.fromBar <= to && mark.toBar >= from).flatMap(({ parts }) => parts),
  );
  const places = analysis.bars.flatMap(({ number }, place) =>
    number >= from && number <= to ? [place] : [],
  );
  const sings = analysis.parts.filter((part) => places.some((place) => part.sings[place]));
  const chosen = sings.filter(({ part }) => marked.has(part));
  const hardest = ({ difficulty }: PieceAnalysis['parts'][number]) =>
    Math.max(0, ...places.map((place) => difficulty[place]?.points ?? 0));
  return (chosen.length > 0 ? chosen : sings).reduce<PieceAnalysis['parts'][number] | undefined>(
    (best, one) => (best && hardest(best) >= hardest(one) ? best : one),
    undefined,
  )?.part;
}
