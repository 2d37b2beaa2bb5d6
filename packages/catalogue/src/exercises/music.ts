import type { Exercise } from '@wide-fern/contract';
import {
  isNote,
  readLine,
  type Beats,
  type Holders,
  type Metre,
  type Mode,
  type Music,
  type OverDrone,
  type OwnPitch,
  type PatternEvent,
} from '@wide-fern/core';

/** Four beats to a bar; what most lines are in. */
export const inFour: Metre = { beats: 4, unit: 4 };
export const inThree: Metre = { beats: 3, unit: 4 };
export const inTwo: Metre = { beats: 2, unit: 4 };

/** The events of a typed line; a line that cannot be read is a mistake in the catalogue. */
export function typed(text: string, mode: Mode = 'major'): PatternEvent[] {
  const read = readLine(text, mode);
  if (read.kind === 'problem') throw new Error(`${text}, at ${read.at}: ${read.code}`);
  return [...read.events];
}

/** Before a syllable that the words stress. */
const stress = '*';

/**
 * Whether a note at a beat carries a stress: on a beat that the bar stresses, or held longer than what is
 * around it. Among notes shorter than a beat every beat is stressed.
 */
function carriesStress(at: Beats, event: PatternEvent, usual: Beats, metre: Metre): boolean {
  const pulse = event.beats < 1 ? 1 : metre.beats % 3 === 0 ? 3 : 2;
  return at % pulse < 1e-6 || event.beats > usual;
}

/**
 * Lays syllables, parted by blanks, under the notes of a line, one each; stressed ones begin with an asterisk.
 * @throws Error where a syllable has no note, a note no syllable, or a stress falls beside the beat
 */
export function withWords(
  events: readonly PatternEvent[],
  words: string,
  metre: Metre,
): PatternEvent[] {
  const syllables = words.split(/\s+/);
  const lengths = events.filter(isNote).map(({ beats }) => beats);
  const usual = [...lengths].sort((a, b) => a - b)[Math.floor(lengths.length / 2)]!;
  // What stands before the first bar ends with it.
  let at: Beats = metre.pickUp === undefined ? 0 : metre.beats - metre.pickUp;
  let bound = false;
  const laid = events.map((event) => {
    const from = at;
    at += event.beats;
    if (!isNote(event)) return event;
    const before = bound;
    bound = event.slur ?? false;
    if (before) return event;
    const said = syllables.shift();
    if (said === undefined) throw new Error(`${words}: a note has no syllable.`);
    if (!said.startsWith(stress)) return { ...event, syllable: said };
    if (!carriesStress(from, event, usual, metre)) {
      throw new Error(`${words}: “${said}” falls beside the beat.`);
    }
    return { ...event, syllable: said.slice(1) };
  });
  if (syllables.length > 0) throw new Error(`${words}: “${syllables[0]}” has no note.`);
  return laid;
}

interface LineSetting {
  readonly mode?: Mode;
  readonly metre?: Metre;
  /** A text, stressed syllables marked. */
  readonly words?: string;
}

/** A line for all parts, as it is typed. */
export const line = (
  text: string,
  { mode = 'major', metre = inFour, words }: LineSetting = {},
): Music => {
  const notes = typed(text, mode);
  return {
    kind: 'pattern',
    mode,
    metre,
    notes: words === undefined ? notes : withWords(notes, words, metre),
  };
};

/** A line for each part, the highest first. */
export const lines = (
  texts: readonly string[],
  { mode = 'major', metre = inFour }: Omit<LineSetting, 'words'> = {},
): Music => ({ kind: 'lines', mode, metre, lines: texts.map((text) => typed(text, mode)) });

/** A round: everyone the same line, so many entries, so many beats apart. */
export const round = (
  entries: number,
  apart: Beats,
  text: string,
  { mode = 'major', metre = inFour, words }: LineSetting = {},
): Music => {
  const notes = typed(text, mode);
  return {
    ...{ kind: 'round', mode, metre, entries, apart },
    notes: words === undefined ? notes : withWords(notes, words, metre),
  };
};

/** A slide through offsets, each reached after so many beats. */
export const slide = (
  syllable: string,
  from: number,
  ...to: readonly (readonly [offset: number, beats: number])[]
): Music => ({
  kind: 'glide',
  mode: 'major',
  points: [{ offset: from, beats: 0 }, ...to.map(([offset, beats]) => ({ offset, beats }))],
  syllable,
});

/** The same where everyone begins on the own easy note. */
export const ownSlide = (
  syllable: string,
  recovery: OwnPitch['recovery'],
  from: number,
  ...to: readonly (readonly [offset: number, beats: number])[]
): Music => ({
  ...(slide(syllable, from, ...to) as Extract<Music, { kind: 'glide' }>),
  ownPitch: { recovery },
});

/** One held note through its syllables. */
export const hold = (beats: Beats, syllables: string, ownPitch?: OwnPitch): Music => ({
  kind: 'hold',
  mode: 'major',
  beats,
  syllables: syllables.split(' '),
  ...(ownPitch ? { ownPitch } : {}),
});

/** A chord, a note for each part; `apart` from entry to entry, the lowest first. */
export const chord = (
  tones: readonly number[],
  beats: Beats,
  syllable: string,
  { apart, distinct }: { readonly apart?: Beats; readonly distinct?: boolean } = {},
): Music => ({
  kind: 'chord',
  mode: tones.includes(3) ? 'minor' : 'major',
  metre: inFour,
  tones,
  beats,
  syllable,
  ...(apart === undefined ? {} : { apart }),
  ...(distinct ? { distinct } : {}),
});

/** Some hold a note, the others move or speak over it. */
export const drone = (
  held: number,
  holders: Holders,
  syllable: string,
  over: OverDrone,
  mode: Mode = 'major',
): Music => ({ kind: 'drone', mode, held, holders, syllable, over });
export const over = (text: string, mode: Mode = 'major'): OverDrone => ({
  kind: 'line',
  notes: typed(text, mode),
});
export const overText = (beats: Beats, ...text: readonly string[]): OverDrone => ({
  ...{ kind: 'text', offset: 0, lines: text, beats },
});

/**
 * A text spoken in time: a beat for each stressed syllable, which begins with an asterisk, and for each
 * silent one, written as a dot.
 */
export const spokenIn = (metre: Metre, ...text: readonly string[]): Music => ({
  kind: 'spoken',
  metre,
  lines: text.map((one) => one.replace(/\*|\s*·/g, '')),
  beats: text.join(' ').split(/[*·]/).length - 1,
});
export const spoken = (...text: readonly string[]): Music => spokenIn(inFour, ...text);

/** Sounds that take turns from key to key. */
export const byTurns = (...sounds: readonly string[]): NonNullable<Exercise['passes']> => ({
  over: 'keys',
  each: sounds.map((sound) => ({ sounds: [sound] })),
});

/** One way and then another, each time it is sung, and the question that compares them. */
export const compared = (
  ask: string,
  ...each: NonNullable<Exercise['passes']>['each']
): NonNullable<Exercise['passes']> => ({ over: 'verses', each, ask });

/** What an instrument holds softly under every key: its note and the fifth. */
export const heldFifth: NonNullable<Exercise['accompaniment']> = { kind: 'drone', tones: [0, 7] };

/** Chords under every key, each so long, its notes over the tonic. */
export const chordsUnder = (
  ...chords: readonly (readonly [beats: Beats, ...tones: number[]])[]
): NonNullable<Exercise['accompaniment']> => ({
  kind: 'chords',
  chords: chords.map(([beats, ...tones]) => ({ beats, tones })),
});
