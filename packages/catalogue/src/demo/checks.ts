import type { PitchRange } from '@wide-fern/core';
import type { DemoSinger } from './singers';

/** A range check of a demo singer, so many weeks before the coming rehearsal. */
export interface DemoCheck {
  readonly weeksAgo: number;
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly lightTop: number | null;
  readonly changes: readonly number[];
}

/** When the choir checks: every half year or so; the newest first. */
const rounds = [7, 33, 59, 85, 111] as const;

/** What a demo singer's earlier checks found: a note more or less at each end, the newest as it is now. */
export function demoChecks(singer: DemoSinger, place: number): DemoCheck[] {
  const { comfort, reach, lightTop = null, changes = [] } = singer;
  return rounds.slice(0, 2 + (place % 4)).map((weeks, round) => {
    const lower = round === 0 ? 0 : (place + round) % 2;
    const higher = round === 0 ? 0 : ((place * 3 + round * 2) % 4) - 1;
    const top = Math.min(comfort[1] - higher, reach[1]);
    return {
      weeksAgo: weeks + (place % 3),
      comfort: [comfort[0] + lower, top],
      reach: [reach[0], Math.max(top, reach[1] - ((place + round) % 2))],
      lightTop: round === 0 ? lightTop : null,
      changes: round === 0 ? changes : [],
    };
  });
}
