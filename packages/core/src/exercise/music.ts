import type { Beats, Seconds, Semitones } from '../units';
import type { Span } from '../fit/fit';
import type { Mode } from '../pitch';
import type { BreathCounts } from '../timing';
import type { Dynamic } from './vocabulary';

/** A note of a pattern, over the tonic. */
export interface PatternNote {
  readonly offset: Semitones;
  readonly beats: Beats;
  readonly syllable?: string | undefined;
  readonly slur?: boolean | undefined;
  readonly breathAfter?: boolean | undefined;
  readonly dynamic?: Dynamic | undefined;
}

/** A silence inside a pattern. */
export interface PatternRest {
  readonly rest: true;
  readonly beats: Beats;
}

export type PatternEvent = PatternNote | PatternRest;

/** Where a glide is at the end of so many beats; the first point has none. */
export interface GlidePoint {
  readonly offset: Semitones;
  readonly beats: Beats;
}

/** What is done in an exercise, by kind (docs/model.md, section 3). */
export type Music =
  | { readonly kind: 'pattern'; readonly mode: Mode; readonly notes: readonly PatternEvent[] }
  | {
      readonly kind: 'glide';
      readonly mode: Mode;
      readonly points: readonly GlidePoint[];
      readonly syllable: string;
    }
  | {
      readonly kind: 'hold';
      readonly mode: Mode;
      readonly beats: Beats;
      readonly syllables: readonly string[];
    }
  | {
      readonly kind: 'chord';
      readonly mode: Mode;
      /** Over the root, root and third first. */
      readonly tones: readonly Semitones[];
      readonly beats: Beats;
      readonly syllable: string;
    }
  | ({
      readonly kind: 'breath';
      readonly increment: BreathCounts;
      /** What the air flows out on. */
      readonly outOn: string;
    } & BreathCounts)
  | { readonly kind: 'spoken'; readonly lines: readonly string[]; readonly beats: Beats }
  | { readonly kind: 'body'; readonly moves: readonly string[]; readonly seconds: Seconds };

export type Kind = Music['kind'];

/** The kinds that are moved from key to key. */
export type PitchedMusic = Extract<Music, { readonly mode: Mode }>;
export const isPitched = (music: Music): music is PitchedMusic => 'mode' in music;

export const isNote = (event: PatternEvent): event is PatternNote => 'offset' in event;

/** What is sung over the tonic, as offsets in the order sung; empty for what has no pitch. */
export function offsetsOf(music: Music): readonly Semitones[] {
  switch (music.kind) {
    case 'pattern':
      return music.notes.filter(isNote).map(({ offset }) => offset);
    case 'glide':
      return music.points.map(({ offset }) => offset);
    case 'hold':
      return [0];
    case 'chord':
      return music.tones;
    default:
      return [];
  }
}

/** The least and greatest offset over the tonic; undefined for what has no pitch. */
export function spanOf(music: Music): Span | undefined {
  const offsets = offsetsOf(music);
  if (offsets.length === 0) return undefined;
  return { lowest: Math.min(...offsets), highest: Math.max(...offsets) };
}

/** The beats of one repetition; 0 for what is not counted in beats of a pattern. */
export function beatsOf(music: Music): Beats {
  switch (music.kind) {
    case 'pattern':
      return music.notes.reduce((sum, { beats }) => sum + beats, 0);
    case 'glide':
      return music.points.reduce((sum, { beats }) => sum + beats, 0);
    case 'hold':
    case 'chord':
    case 'spoken':
      return music.beats;
    default:
      return 0;
  }
}
