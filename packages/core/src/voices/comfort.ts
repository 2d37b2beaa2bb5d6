import type { MidiNote, PitchRange } from '../units';

/** One singer's limits, as a range check finds them: reach ⊇ comfort. */
export interface SingerRange {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
}

/** What a section can sing: where enough of its singers are comfortable, and where they can reach. */
export interface SectionComfort {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  /** False when no note suits enough of the section; comfort is then where the share is greatest. */
  readonly suits: boolean;
}

/** The share of a section that has to be comfortable on a note, unless the choir says otherwise. */
export const usualShare = 0.85;

interface Run {
  readonly range: PitchRange;
  readonly meanCount: number;
}

/** How many ranges hold each note: counts[i] for the note lowest + i. */
export interface NoteCounts {
  readonly lowest: MidiNote;
  readonly counts: readonly number[];
}

/** How many of the ranges hold each note from the lowest to the highest of them; no counts for no ranges. */
export function countAtEachNote(ranges: readonly PitchRange[]): NoteCounts {
  if (ranges.length === 0) return { lowest: 0, counts: [] };
  const lowest = ranges.reduce((least, [low]) => Math.min(least, low), Infinity);
  const highest = ranges.reduce((most, [, high]) => Math.max(most, high), -Infinity);
  // Each range adds one from its lowest note on and takes it away after its highest.
  const steps = new Array<number>(highest - lowest + 2).fill(0);
  for (const [low, high] of ranges) {
    steps[low - lowest]! += 1;
    steps[high - lowest + 1]! -= 1;
  }
  let sounding = 0;
  const counts = steps.slice(0, -1).map((step) => (sounding += step));
  return { lowest, counts };
}

/** The runs of neighbouring notes that enough ranges hold, from low to high. */
function runsAtLeast(lowest: MidiNote, counts: readonly number[], enough: number): Run[] {
  const runs: Run[] = [];
  let from = -1;
  let sum = 0;
  for (let i = 0; i <= counts.length; i += 1) {
    const count = counts[i] ?? -1;
    if (count >= enough) {
      if (from < 0) from = i;
      sum += count;
    } else if (from >= 0) {
      runs.push({ range: [lowest + from, lowest + i - 1], meanCount: sum / (i - from) });
      from = -1;
      sum = 0;
    }
  }
  return runs;
}

const width = ([low, high]: PitchRange): number => high - low;

function bestRun(runs: readonly Run[]): Run | undefined {
  return runs.reduce<Run | undefined>((best, run) => {
    if (!best || width(run.range) > width(best.range)) return run;
    return width(run.range) === width(best.range) && run.meanCount > best.meanCount ? run : best;
  }, undefined);
}

/** How many of so many singers make up a share: 17 of 20 at 0.85, 10 of 11. At least one. */
export const singersWanted = (singers: number, share: number): number =>
  // The small allowance keeps 17 of 20 at 0.85 in, whatever the binary fraction.
  Math.max(1, Math.ceil(share * singers - 1e-9));

/** The notes that all of the ranges hold; null where there are none. */
export function easyForAll(ranges: readonly PitchRange[]): PitchRange | null {
  const low = ranges.reduce((most, range) => Math.max(most, range[0]), -Infinity);
  const high = ranges.reduce((least, range) => Math.min(least, range[1]), Infinity);
  return ranges.length > 0 && low <= high ? [low, high] : null;
}

function commonRange(ranges: readonly PitchRange[], share: number): [PitchRange, boolean] {
  const { lowest, counts } = countAtEachNote(ranges);
  const enough = singersWanted(ranges.length, share);
  const suiting = bestRun(runsAtLeast(lowest, counts, enough));
  if (suiting) return [suiting.range, true];
  const most = bestRun(runsAtLeast(lowest, counts, Math.max(...counts)));
  if (!most) throw new RangeError('A section needs at least one singer.');
  return [most.range, false];
}

/**
 * The comfort and reach of a section from those present: the longest run of notes that at least
 * the wanted share of them can sing; of equal runs the one with the higher mean share, then the
 * lower (docs/model.md, section 2).
 * @param singers at least one; for an empty section take the part's default.
 * @param share the wanted share, above 0 and at most 1.
 * @throws RangeError for an empty section or a share outside (0, 1].
 */
export function sectionComfort(
  singers: readonly SingerRange[],
  share: number = usualShare,
): SectionComfort {
  if (singers.length === 0) throw new RangeError('A section needs at least one singer.');
  if (!(share > 0 && share <= 1)) {
    throw new RangeError(`The share is above 0 and at most 1, not ${share}.`);
  }
  const [comfort, suits] = commonRange(
    singers.map((singer) => singer.comfort),
    share,
  );
  const [reach] = commonRange(
    singers.map((singer) => singer.reach),
    share,
  );
  return { comfort, reach, suits };
}
