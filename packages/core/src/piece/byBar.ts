import type { PitchRange } from '../units';
import type { PartMusic } from './music';
import type { RangesByBar } from './needs';
import type { PieceScore } from './score/score';

/** The lowest and highest note of each part in each written bar of a score. */
export function rangesByBar(score: PieceScore, parts: readonly PartMusic[]): RangesByBar {
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
export function wholeRanges({ parts }: RangesByBar): Record<string, PitchRange> {
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
