import type { MidiNote } from '../units';

/** What a piece asks of each part it has: its lowest and highest note. */
export interface PieceRanges {
  readonly title: string;
  readonly ranges: Readonly<Record<string, readonly [lowest: MidiNote, highest: MidiNote]>>;
}

/** The lowest and highest note tonight's music asks of a part, and the piece that does. */
export interface PartNeed {
  readonly part: string;
  readonly highest: MidiNote;
  readonly highestIn: string;
  readonly lowest: MidiNote;
  readonly lowestIn: string;
}

/**
 * Tonight's highest and lowest note of each part, over the pieces to be sung; of equal ones the
 * piece sung first. Parts that no piece has are left out (docs/model.md, section 9).
 */
export function needsTonight(parts: readonly string[], pieces: readonly PieceRanges[]): PartNeed[] {
  return parts.flatMap((part) => {
    const asked = pieces.flatMap(({ title, ranges }) => {
      const range = ranges[part];
      return range ? [{ title, lowest: range[0], highest: range[1] }] : [];
    });
    const [first, ...others] = asked;
    if (!first) return [];
    const top = others.reduce((a, b) => (b.highest > a.highest ? b : a), first);
    const bottom = others.reduce((a, b) => (b.lowest < a.lowest ? b : a), first);
    return [
      {
        part,
        highest: top.highest,
        highestIn: top.title,
        lowest: bottom.lowest,
        lowestIn: bottom.title,
      },
    ];
  });
}
