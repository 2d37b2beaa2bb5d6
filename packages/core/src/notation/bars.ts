import type { Beats } from '../units';
import type { LineEvent } from '../exercise/partLines';
import type { Metre } from '../exercise/music';
import { onGrid, quartersOf, writtenLengths, type Written } from './values';

/** One head (or rest) as it is written; a long note is several, tied. */
export interface WrittenEvent extends Written {
  /** Which of the line's events it belongs to. */
  readonly event: number;
  /** The first head of its event: it carries the syllable and the loudness. */
  readonly first: boolean;
  /** The last head of its event: slur, breath and slide go on from it. */
  readonly last: boolean;
  /** From the bar's beginning, in quarters. */
  readonly at: Beats;
}

/** A bar: what is written in it, and its length in quarters. */
export interface WrittenBar {
  readonly quarters: Beats;
  readonly events: readonly WrittenEvent[];
}

const near = 1e-4;

/** The quarters of a beat in a metre; without one a beat is a quarter. */
export const quartersOfBeat = (metre: Metre | undefined): number => 4 / (metre?.unit ?? 4);

/**
 * A line as it is written in bars. Without a metre it is one bar; with one, what crosses a bar line
 * is tied over it; the first bar is as long as the pick-up, the last as long as what is in it.
 */
export function writtenBars(events: readonly LineEvent[], metre: Metre | undefined): WrittenBar[] {
  const perBeat = quartersOfBeat(metre);
  const whole = metre ? metre.beats * perBeat : Infinity;
  const pickUp = (metre?.pickUp ?? 0) * perBeat;
  const bars: { quarters: number; events: WrittenEvent[] }[] = [{ quarters: 0, events: [] }];
  events.forEach(({ beats }, index) => {
    let left = onGrid(beats * perBeat);
    let first = true;
    while (left > near) {
      let bar = bars[bars.length - 1]!;
      let barLength = bars.length === 1 && pickUp > 0 ? pickUp : whole;
      if (bar.quarters >= barLength - near) {
        bar = { quarters: 0, events: [] };
        bars.push(bar);
        barLength = whole;
      }
      const here = onGrid(Math.min(left, barLength - bar.quarters));
      left = onGrid(left - here);
      const pieces = writtenLengths(here);
      pieces.forEach((piece, i) => {
        const last = i === pieces.length - 1 && left <= near;
        bar.events.push({ ...piece, event: index, first, last, at: bar.quarters });
        first = false;
        bar.quarters += quartersOf(piece);
      });
      // What was too short to write still counts, so that bars stay in step with the other parts.
      bar.quarters = Math.min(barLength, onGrid(bar.quarters));
    }
  });
  return bars;
}
