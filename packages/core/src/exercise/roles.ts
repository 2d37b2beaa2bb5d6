import type { Semitones } from '../units';
import { spanOfOffsets, offsetsOf, type Holders, type Music, type PatternEvent } from './music';

/** Whether the part at a place, counted from the highest, holds the drone's note. A part alone moves. */
export function holdsDrone(who: Holders, place: number, parts: number): boolean {
  if (who === 'all') return true;
  if (parts === 1) return false;
  switch (who) {
    case 'lowest':
      return place === parts - 1;
    case 'lower half':
      return place >= Math.ceil(parts / 2);
    case 'upper half':
      return place < Math.floor(parts / 2);
  }
}

/** Which of so many lines a part sings: spread evenly from the highest part to the lowest. */
export const lineOfPart = (lines: number, place: number, parts: number): number =>
  parts <= lines ? place : Math.floor((place * lines) / parts);

/** What one part does in music that not all do alike. */
export type PartAction =
  /** Holds one note, wherever it lies best. */
  | { readonly kind: 'holds'; readonly offset: Semitones }
  | { readonly kind: 'sings'; readonly notes: readonly PatternEvent[] };

/** The role of the part at a place, counted from the highest; undefined where all parts do alike. */
export function partAction(music: Music, place: number, parts: number): PartAction | undefined {
  if (music.kind === 'lines') {
    const notes = music.lines[lineOfPart(music.lines.length, place, parts)] ?? [];
    return { kind: 'sings', notes };
  }
  if (music.kind === 'drone' && holdsDrone(music.holders, place, parts)) {
    return { kind: 'holds', offset: music.held };
  }
  return undefined;
}

/** The span of what the part at a place sings. */
export function spanOfPart(music: Music, place: number, parts: number) {
  const role = partAction(music, place, parts);
  if (role?.kind === 'holds') return { lowest: role.offset, highest: role.offset };
  if (role?.kind === 'sings') {
    return spanOfOffsets(role.notes.flatMap((note) => ('offset' in note ? [note.offset] : [])));
  }
  return spanOfOffsets(offsetsOf(music));
}
