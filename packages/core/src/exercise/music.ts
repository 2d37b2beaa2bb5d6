import type { Span } from '../units';
import type { Beats, Seconds, Semitones } from '../units';

import type { Mode } from '../pitch';
import type { BreathCounts, Movement, PerCount } from '../timing';
import type { Dynamic, Swell } from './vocabulary';

/** A note of a pattern, over the tonic. */
export interface PatternNote {
  readonly offset: Semitones;
  readonly beats: Beats;
  readonly syllable?: string | undefined;
  /** Bound to the next note: one syllable, one breath. */
  readonly slur?: boolean | undefined;
  readonly breathAfter?: boolean | undefined;
  /** From this note on. */
  readonly dynamic?: Dynamic | undefined;
  /** From this note on, until the next dynamic or swell. */
  readonly swell?: Swell | undefined;
}

/** A silence inside a pattern. */
export interface PatternRest {
  readonly rest: true;
  readonly beats: Beats;
}

export type PatternEvent = PatternNote | PatternRest;

/** A bar of so many beats, each written as one over `unit`; what has none is free, and one bar long. */
export interface Metre {
  readonly beats: number;
  readonly unit: 1 | 2 | 4 | 8 | 16;
  /** How much of a bar stands before the first whole one. */
  readonly pickUp?: Beats | undefined;
}

/** Where a glide is at the end of so many beats; the first point has none. */
export interface GlidePoint {
  readonly offset: Semitones;
  readonly beats: Beats;
}

/** Which parts hold a drone's note, counted from the lowest; the others move over it. */
export const holders = ['lowest', 'lower half', 'upper half', 'all'] as const;
export type Holders = (typeof holders)[number];

/** What goes on over a drone's held note: a line, or a text on one pitch. */
export type OverDrone =
  | { readonly kind: 'line'; readonly notes: readonly PatternEvent[] }
  | {
      readonly kind: 'text';
      /** The pitch it is sung on, over the tonic. */
      readonly offset: Semitones;
      readonly lines: readonly string[];
      /** How long the text takes once. */
      readonly beats: Beats;
      /** Sung through again on each of these, one after the other. */
      readonly then?: readonly Semitones[] | undefined;
      /** At last in canon: so many enter, so far apart, on the last pitch. */
      readonly canon?: Canon | undefined;
    };

/** How many enter one after the other, and how far apart. */
export interface Canon {
  readonly entries: number;
  readonly apart: Beats;
}

/** The pitches a text is sung on, one time each. */
export const degreesOfText = (text: Extract<OverDrone, { kind: 'text' }>): readonly Semitones[] => [
  text.offset,
  ...(text.then ?? []),
];

/** How long a text over a drone takes: once on each pitch, and in canon at the end. */
export const beatsOfText = (text: Extract<OverDrone, { kind: 'text' }>): Beats => {
  const { beats, canon } = text;
  const inCanon = canon ? beats + (canon.entries - 1) * canon.apart : 0;
  return degreesOfText(text).length * beats + inCanon;
};

/** What is done in an exercise, by kind (docs/model.md, section 3). */
export type Music =
  | {
      readonly kind: 'pattern';
      readonly mode: Mode;
      readonly metre?: Metre | undefined;
      readonly notes: readonly PatternEvent[];
    }
  | {
      /** Each part its own line, the highest first; parts beyond the lines share the nearest one. */
      readonly kind: 'lines';
      readonly mode: Mode;
      readonly metre?: Metre | undefined;
      readonly lines: readonly (readonly PatternEvent[])[];
    }
  | {
      readonly kind: 'round';
      readonly mode: Mode;
      readonly metre?: Metre | undefined;
      readonly notes: readonly PatternEvent[];
      /** How many enter one after the other; parts beyond them go with the first again. */
      readonly entries: number;
      /** From one entry to the next. */
      readonly apart: Beats;
    }
  | {
      readonly kind: 'drone';
      readonly mode: Mode;
      readonly metre?: Metre | undefined;
      /** The held note over the tonic: 0, a third, a fifth. */
      readonly held: Semitones;
      readonly holders: Holders;
      readonly syllable: string;
      readonly over: OverDrone;
    }
  | {
      readonly kind: 'glide';
      readonly mode: Mode;
      readonly points: readonly GlidePoint[];
      readonly syllable: string;
      readonly ownPitch?: OwnPitch | undefined;
    }
  | {
      readonly kind: 'hold';
      readonly mode: Mode;
      readonly metre?: Metre | undefined;
      readonly beats: Beats;
      readonly syllables: readonly string[];
      readonly ownPitch?: OwnPitch | undefined;
    }
  | {
      readonly kind: 'chord';
      readonly mode: Mode;
      readonly metre?: Metre | undefined;
      /** Over the root, root and third first. */
      readonly tones: readonly Semitones[];
      readonly beats: Beats;
      readonly syllable: string;
      /** From one part's entry to the next, the lowest first; without it all begin together. */
      readonly apart?: Beats | undefined;
      /** No two parts on the same note. */
      readonly distinct?: boolean | undefined;
    }
  | ({
      readonly kind: 'breath';
      readonly increment: BreathCounts;
      /** What no count falls below when it shrinks. */
      readonly least?: PerCount<Beats> | undefined;
      /** What the air flows out on. */
      readonly outOn: string;
      /** Squeezed empty before the first breath in. */
      readonly emptyFirst?: boolean | undefined;
      readonly way?: BreathWay | undefined;
      /** What the arms do on the same counts. */
      readonly arms?: PerCount<string> | undefined;
    } & BreathCounts)
  | {
      readonly kind: 'spoken';
      readonly metre?: Metre | undefined;
      readonly lines: readonly string[];
      readonly beats: Beats;
    }
  | { readonly kind: 'body'; readonly moves: readonly Movement[] };

/** Everyone sings it on the own easy note: no keys, so many rounds, each followed by a rest. */
export interface OwnPitch {
  readonly recovery: Seconds;
}

/** How a breath is taken in and let out. */
export const breathWays = ['nose', 'mouth', 'nose in, mouth out'] as const;
export type BreathWay = (typeof breathWays)[number];

export type Kind = Music['kind'];

/** Every kind, as they are listed. */
export const kinds = [
  'pattern',
  'lines',
  'round',
  'drone',
  'glide',
  'hold',
  'chord',
  'breath',
  'spoken',
  'body',
] as const satisfies readonly Kind[];

/** What has notes over a tonic. */
export type PitchedMusic = Extract<Music, { readonly mode: Mode }>;
export const isPitched = (music: Music): music is PitchedMusic => 'mode' in music;

/** Whether everyone sings on the own easy note instead of in a key. */
export const onOwnPitch = (music: Music): OwnPitch | undefined =>
  music.kind === 'hold' || music.kind === 'glide' ? music.ownPitch : undefined;

/** Whether it is moved from key to key. */
export const hasKeys = (music: Music): music is PitchedMusic =>
  isPitched(music) && !onOwnPitch(music);

export const isNote = (event: PatternEvent): event is PatternNote => 'offset' in event;

/** The beats of events one after the other. */
export const beatsOfEvents = (events: readonly { readonly beats: Beats }[]): Beats =>
  events.reduce((sum, { beats }) => sum + beats, 0);

const offsetsOfEvents = (events: readonly PatternEvent[]): readonly Semitones[] =>
  events.filter(isNote).map(({ offset }) => offset);

/** What is sung over the tonic by whoever moves, as offsets in the order sung; empty for what has no pitch. */
export function offsetsOf(music: Music): readonly Semitones[] {
  switch (music.kind) {
    case 'pattern':
    case 'round':
      return offsetsOfEvents(music.notes);
    case 'lines':
      return music.lines.flatMap(offsetsOfEvents);
    case 'drone':
      return music.over.kind === 'line'
        ? offsetsOfEvents(music.over.notes)
        : degreesOfText(music.over);
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

/** The least and greatest of offsets; undefined when there are none. */
export function spanOfOffsets(offsets: readonly Semitones[]): Span | undefined {
  if (offsets.length === 0) return undefined;
  return { lowest: Math.min(...offsets), highest: Math.max(...offsets) };
}

/** The least and greatest offset over the tonic; undefined for what has no pitch. */
export const spanOf = (music: Music): Span | undefined => spanOfOffsets(offsetsOf(music));

/** The beats of one repetition; 0 for what is not counted in beats of a pattern. */
export function beatsOf(music: Music): Beats {
  switch (music.kind) {
    case 'pattern':
      return beatsOfEvents(music.notes);
    case 'lines':
      return Math.max(...music.lines.map(beatsOfEvents));
    case 'round':
      return beatsOfEvents(music.notes) + (music.entries - 1) * music.apart;
    case 'drone':
      return music.over.kind === 'line' ? beatsOfEvents(music.over.notes) : beatsOfText(music.over);
    case 'glide':
      return beatsOfEvents(music.points);
    case 'hold':
    case 'chord':
    case 'spoken':
      return music.beats;
    default:
      return 0;
  }
}
