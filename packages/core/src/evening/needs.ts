import { own } from '../own';
import type { MidiNote, PitchRange, Semitones } from '../units';

/** The lowest and highest note of a part in each written bar; null where it is silent. */
export interface RangesByBar {
  /** The printed number of each written bar. */
  readonly numbers: readonly number[];
  readonly parts: Readonly<Record<string, readonly (PitchRange | null)[]>>;
}

/** What a piece asks of each part it has: its lowest and highest note, as written. */
export interface PieceRanges {
  readonly title: string;
  readonly ranges: Readonly<Record<string, readonly [lowest: MidiNote, highest: MidiNote]>>;
  /** Bar by bar, where a score was read. */
  readonly byBar?: RangesByBar | null | undefined;
  /** What is sung of it, by printed bars; all of it when it is not said. */
  readonly bars?: readonly [from: number, to: number] | null | undefined;
  /** How much higher than written it is sung. */
  readonly transpose?: Semitones | undefined;
}

/** The lowest and highest note tonight's music asks of a part, and the piece and bar that do. */
export interface PartNeed {
  readonly part: string;
  readonly highest: MidiNote;
  readonly highestIn: string;
  /** The first printed bar where it sounds, where a score was read. */
  readonly highestBar?: number | undefined;
  readonly lowest: MidiNote;
  readonly lowestIn: string;
  readonly lowestBar?: number | undefined;
}

interface Extreme {
  readonly midi: MidiNote;
  readonly bar?: number | undefined;
}

/** The least and greatest note of a part in what is sung of a piece; undefined where it is silent. */
export function askedOf(
  { ranges, byBar, bars, transpose = 0 }: PieceRanges,
  part: string,
): { readonly lowest: Extreme; readonly highest: Extreme } | undefined {
  const inBars = own(byBar?.parts, part);
  if (!byBar || !inBars) {
    const range = own(ranges, part);
    if (!range) return undefined;
    return { lowest: { midi: range[0] + transpose }, highest: { midi: range[1] + transpose } };
  }
  let lowest: Extreme | undefined;
  let highest: Extreme | undefined;
  inBars.forEach((range, place) => {
    const bar = byBar.numbers[place]!;
    if (!range || (bars && (bar < bars[0] || bar > bars[1]))) return;
    const [low, high] = range;
    if (!lowest || low + transpose < lowest.midi) lowest = { midi: low + transpose, bar };
    if (!highest || high + transpose > highest.midi) highest = { midi: high + transpose, bar };
  });
  return lowest && highest && { lowest, highest };
}

/**
 * Tonight's highest and lowest note of each part, over what will be sung of the pieces; of equal
 * ones the piece sung first. Parts that no piece has are left out (docs/model.md, section 9).
 */
export function needsTonight(parts: readonly string[], pieces: readonly PieceRanges[]): PartNeed[] {
  return parts.flatMap((part) => {
    const asked = pieces.flatMap((piece) => {
      const found = askedOf(piece, part);
      return found ? [{ title: piece.title, ...found }] : [];
    });
    const [first, ...others] = asked;
    if (!first) return [];
    const top = others.reduce((a, b) => (b.highest.midi > a.highest.midi ? b : a), first);
    const bottom = others.reduce((a, b) => (b.lowest.midi < a.lowest.midi ? b : a), first);
    const bar = (name: 'highestBar' | 'lowestBar', { bar: number }: Extreme) =>
      number === undefined ? {} : { [name]: number };
    return [
      {
        part,
        highest: top.highest.midi,
        highestIn: top.title,
        ...bar('highestBar', top.highest),
        lowest: bottom.lowest.midi,
        lowestIn: bottom.title,
        ...bar('lowestBar', bottom.lowest),
      },
    ];
  });
}
