import type { PitchRange, Seconds } from '../units';
import { performanceOrder, partsOfScore, type Mapping, type PartMusic } from './music';
import type { RangesByBar } from '../evening/needs';
import type { PieceScore } from './score/score';

/** The lowest and highest note of each part in each written bar of a score. */
function rangesByBar(score: PieceScore, parts: readonly PartMusic[]): RangesByBar {
  return {
    numbers: score.bars.map(({ number }) => number),
    parts: Object.fromEntries(
      parts.map(({ part, lines }) => {
        const bars: (PitchRange | null)[] = score.bars.map(() => null);
        for (const { bar, midi } of lines.flat()) {
          const [low, high] = bars[bar] ?? [midi, midi];
          bars[bar] = [Math.min(low, midi), Math.max(high, midi)];
        }
        return [part, bars];
      }),
    ),
  };
}

/** The lowest and highest note of each part over all bars. */
function wholeRanges({ parts }: RangesByBar): Record<string, PitchRange> {
  return Object.fromEntries(
    Object.entries(parts).flatMap(([part, bars]) => {
      const sung = bars.filter((range) => range !== null);
      if (sung.length === 0) return [];
      const low = Math.min(...sung.map(([lowest]) => lowest));
      const high = Math.max(...sung.map(([, highest]) => highest));
      return [[part, [low, high] as const]];
    }),
  );
}

/** What is kept of a score beside its file: who asks what bar by bar, and how long it lasts. */
export interface ReadingOfScore {
  readonly byBar: RangesByBar;
  readonly ranges: Record<string, PitchRange>;
  /** As sung, with repeats, at the tempo in the score. */
  readonly seconds: Seconds;
}

/**
 * What a score asks of the parts of a choir, when it is known who sings which line.
 * @throws RangeError when the repeat signs lead round without end
 */
export function readingOfScore(
  score: PieceScore,
  mapping: readonly Mapping[],
  parts: readonly string[],
): ReadingOfScore {
  const byBar = rangesByBar(score, partsOfScore(score, mapping, parts));
  return { byBar, ranges: wholeRanges(byBar), seconds: performanceOrder(score).seconds };
}
