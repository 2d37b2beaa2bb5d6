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

/**
 * Whether the part at a place holds at its turn: the halves change places, and where the lowest part
 * alone holds, each holds once, from the lowest up.
 */
const holdsInTurn = (who: Holders, place: number, parts: number, turn: number): boolean =>
  who === 'lowest'
    ? holdsDrone(who, (place + turn) % parts, parts)
    : holdsDrone(turn % 2 === 0 || who === 'all' ? who : otherHalf[who], place, parts);
const otherHalf = { 'lower half': 'upper half', 'upper half': 'lower half' } as const;

/** Which of so many lines a part sings: spread evenly from the highest part to the lowest. */
export const lineOfPart = (lines: number, place: number, parts: number): number =>
  parts <= lines ? place : Math.floor((place * lines) / parts);

/** After how many turns every part has sung all that is sung; one where all do alike, or one part is alone. */
export function turnsOfLines(music: Music, parts: number): number {
  if (parts < 2) return 1;
  switch (music.kind) {
    case 'lines':
      return music.lines.length;
    case 'round':
      return Math.min(music.entries, parts);
    case 'drone':
      return music.holders === 'all' ? 1 : music.holders === 'lowest' ? parts : 2;
    default:
      return 1;
  }
}

/** What one part does in music that not all do alike. */
export type PartAction =
  /** Holds one note, wherever it lies best. */
  | { readonly kind: 'holds'; readonly offset: Semitones }
  | { readonly kind: 'sings'; readonly notes: readonly PatternEvent[] };

/**
 * The role of the part at a place, counted from the highest; undefined where all parts do alike.
 * @param turn the so manieth time where lines go round: each part sings the next line, the last the first
 */
export function partAction(
  music: Music,
  place: number,
  parts: number,
  turn = 0,
): PartAction | undefined {
  if (music.kind === 'lines') {
    const { length } = music.lines;
    const notes = music.lines[(lineOfPart(length, place, parts) + turn) % length] ?? [];
    return { kind: 'sings', notes };
  }
  if (music.kind === 'drone' && holdsInTurn(music.holders, place, parts, turn)) {
    return { kind: 'holds', offset: music.held };
  }
  return undefined;
}

/**
 * What the part at a place does at each turn.
 * @param turns how often the lines go round; once where each part keeps its own
 */
export const rolesOf = (
  music: Music,
  place: number,
  parts: number,
  turns: number,
): readonly (PartAction | undefined)[] =>
  Array.from({ length: turns }, (_, turn) => partAction(music, place, parts, turn));

/** What is sung in a role, as offsets. */
function offsetsIn(music: Music, role: PartAction | undefined): readonly Semitones[] {
  if (!role) return offsetsOf(music);
  if (role.kind === 'holds') return [role.offset];
  return role.notes.flatMap((note) => ('offset' in note ? [note.offset] : []));
}

/** The span of all that the part at a place sings in so many turns. */
export const spanOfPart = (music: Music, place: number, parts: number, turns = 1) =>
  spanOfOffsets(rolesOf(music, place, parts, turns).flatMap((role) => offsetsIn(music, role)));
