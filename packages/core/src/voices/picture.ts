import type { MidiNote, PitchRange } from '../units';
import {
  countAtEachNote,
  sectionComfort,
  singersWanted,
  type NoteCounts,
  type SectionComfort,
  type SingerRange,
} from './comfort';

/** A singer in a section's picture. */
export interface PicturedSinger extends SingerRange {
  readonly id: string;
}

/** The band that a section would have if so many of its singers had to be comfortable. */
export interface BandAt {
  readonly wanted: number;
  readonly comfort: PitchRange;
  readonly suits: boolean;
}

/** What a section can sing: how many are comfortable on each note, the band, and what moves it. */
export interface SectionPicture extends SectionComfort {
  readonly singers: number;
  /** How many singers the share asks for. */
  readonly wanted: number;
  /** Singers comfortable on each note. */
  readonly easy: NoteCounts;
  /** The band for one singer more, as wanted, and one fewer; where there are so many. */
  readonly around: readonly BandAt[];
}

/** The band when `wanted` of the singers have to be comfortable. */
function bandAt(singers: readonly SingerRange[], wanted: number): BandAt {
  const { comfort, suits } = sectionComfort(singers, wanted / singers.length);
  return { wanted, comfort, suits };
}

/**
 * A section's picture from the singers present.
 * @param singers at least one.
 * @param share the wanted share, above 0 and at most 1.
 */
export function sectionPicture(singers: readonly SingerRange[], share: number): SectionPicture {
  const wanted = singersWanted(singers.length, share);
  const around = [wanted + 1, wanted, wanted - 1]
    .filter((count) => count >= 1 && count <= singers.length)
    .map((count) => bandAt(singers, count));
  return {
    ...sectionComfort(singers, share),
    singers: singers.length,
    wanted,
    easy: countAtEachNote(singers.map(({ comfort }) => comfort)),
    around,
  };
}

/** The most singers that can be asked for so that the band still reaches a note at one of its ends; at least 1. */
export function wantedForEdge(
  singers: readonly SingerRange[],
  end: 'low' | 'high',
  note: MidiNote,
): number {
  for (let wanted = singers.length; wanted > 1; wanted -= 1) {
    const { comfort, suits } = bandAt(singers, wanted);
    if (suits && (end === 'low' ? comfort[0] <= note : comfort[1] >= note)) return wanted;
  }
  return 1;
}

/** Singers without whom the band would be wider, and how wide. */
export interface Narrowing {
  readonly ids: readonly string[];
  readonly comfort: PitchRange;
}

const widerThan = ([a, b]: PitchRange, [low, high]: PitchRange): boolean => b - a > high - low;

/**
 * Who alone narrows a section's band: each singer without whom it would be wider; where no single
 * one does, the group of those who share a state (returning, say) when the band is wider without
 * them. For the director's eyes only.
 */
export function narrowing(
  singers: readonly (PicturedSinger & { readonly states: readonly string[] })[],
  share: number,
): Narrowing[] {
  if (singers.length < 2) return [];
  const now = sectionComfort(singers, share).comfort;
  const without = (ids: readonly string[]): Narrowing | undefined => {
    const others = singers.filter(({ id }) => !ids.includes(id));
    if (others.length === 0) return undefined;
    const { comfort } = sectionComfort(others, share);
    return widerThan(comfort, now) ? { ids, comfort } : undefined;
  };
  // Only those whose own comfort ends at an edge of the band, or inside it, can hold it back.
  const atAnEdge = singers.filter(({ comfort }) => comfort[0] >= now[0] || comfort[1] <= now[1]);
  const single = atAnEdge.flatMap(({ id }) => without([id]) ?? []);
  if (single.length > 0) return single;
  const states = [...new Set(singers.flatMap((singer) => singer.states))];
  return states.flatMap((state) => {
    const ids = singers.filter((singer) => singer.states.includes(state)).map(({ id }) => id);
    return ids.length > 1 ? (without(ids) ?? []) : [];
  });
}
