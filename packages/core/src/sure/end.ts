import type { Seconds } from '../units';
import { normalBelow } from './normal';

/** How long a segment takes, about. */
export interface UnsureLength {
  readonly mean: Seconds;
  /** Standard deviation. */
  readonly sd: Seconds;
}

/** How sure the end of a warm-up is. */
export interface EndSureness {
  /** The chance of taking at most the seconds asked for. */
  readonly chance: number;
  /** The least second by which a tenth of all evenings, and nine tenths, are done. */
  readonly p10: Seconds;
  readonly p90: Seconds;
}

/** Beyond so many standard deviations nothing is left that counts. */
const far = 9;

/** The chance of each whole second from 0 for one segment; all below half a second on 0. */
function onGrid({ mean, sd }: UnsureLength): number[] {
  if (sd <= 0) {
    const at = Math.max(0, Math.floor(mean + 0.5));
    return [...Array.from({ length: at }, () => 0), 1];
  }
  const last = Math.max(0, Math.ceil(mean + far * sd));
  const below = (seconds: number) => normalBelow((seconds - mean) / sd);
  return Array.from({ length: last + 1 }, (_, second) =>
    second === 0 ? below(0.5) : below(second + 0.5) - below(second - 0.5),
  );
}

function convolved(a: readonly number[], b: readonly number[]): number[] {
  const sum = Array.from({ length: a.length + b.length - 1 }, () => 0);
  a.forEach((chance, i) => {
    if (chance === 0) return;
    b.forEach((other, j) => {
      sum[i + j]! += chance * other;
    });
  });
  return sum;
}

/** The least second by which so much is reached. */
function percentile(chances: readonly number[], share: number): Seconds {
  let sum = 0;
  for (const [second, chance] of chances.entries()) {
    sum += chance;
    if (sum >= share - 1e-12) return second;
  }
  return chances.length - 1;
}

/** How sure the end is: the lengths of segments, each normal on whole seconds, convolved (docs/model.md, section 14). */
export function endSureness(segments: readonly UnsureLength[], seconds: Seconds): EndSureness {
  const chances = segments.map(onGrid).reduce(convolved, [1]);
  const within = chances.slice(0, Math.floor(seconds) + 1).reduce((sum, chance) => sum + chance, 0);
  return {
    chance: seconds < 0 ? 0 : Math.min(1, within),
    p10: percentile(chances, 0.1),
    p90: percentile(chances, 0.9),
  };
}
