import type { Ladder, PitchRange, SegmentKeys } from '@wide-fern/core';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

/** The ladders that are drawn: one for all, or one for each group that sings at the same time. */
export function laddersOf({ sung, groups, grouping }: LadderKeys): readonly Ladder[] {
  const drawn = grouping === 'together' ? (groups ?? []).map((group) => group.sung) : [sung];
  return drawn.flatMap((ladder) => ladder ?? []);
}

/** The tonics a key strip shows: the ladder and the best one, with as much around as fits. */
export function keyRange(keys: LadderKeys, most: number): PitchRange {
  const { problem, best, sung } = keys;
  const tonics = [
    ...laddersOf(keys).flatMap((ladder) => ladder.tonics),
    ...(best.kind === 'ladder' ? (sung ? [best.start] : best.tonics) : []),
  ];
  if (tonics.length === 0) {
    // No ladder at all: around where the highest part's middle lies.
    const { comfort, octave } = problem.sections[0]!;
    const { lowest, highest } = problem.pattern;
    tonics.push(Math.round((comfort[0] + comfort[1] - lowest - highest) / 2) - octave);
  }
  let low = Math.min(...tonics);
  let high = Math.max(...tonics);
  // Widen evenly, above first.
  for (let side = 1; high - low + 1 < most && high - low < 24; side = -side) {
    if (side > 0) high += 1;
    else low -= 1;
  }
  // A ladder wider than the strip keeps its start in view.
  if (high - low + 1 > most && sung) {
    const start = sung.start;
    low = start - low > high - start ? start - most + 1 : start;
    high = low + most - 1;
  }
  return [low, high];
}

/** A cell of a strip of keys. */
export interface CellPlace {
  readonly row: number;
  readonly column: number;
}

/** The cell an arrow leads to, held within the strip; undefined for other keys. */
export function cellAfterKey(
  key: string,
  { row, column }: CellPlace,
  size: { readonly rows: number; readonly columns: number },
): CellPlace | undefined {
  const steps: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
  };
  const step = steps[key];
  if (!step) return undefined;
  const held = (at: number, count: number) => Math.min(count - 1, Math.max(0, at));
  return { row: held(row + step[0], size.rows), column: held(column + step[1], size.columns) };
}
