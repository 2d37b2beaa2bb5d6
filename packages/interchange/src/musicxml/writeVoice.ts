import {
  quartersOf,
  spellInKey,
  spellKey,
  trebleTonic,
  writtenLengths,
  type KeyMark,
  type ScoreBar,
  type SpelledNote,
  type StaffNote,
  type Written,
} from '@wide-fern/core';
import { element, text, type Child, type Element } from '../xml/element';
import { slidesOn, type Slides } from './slides';

/** Parts of a quarter that lengths are counted in: exact for 32nds and triplets. */
export const divisions = 96;
export const near = 1e-4;

export const types: Readonly<Record<number, string>> = {
  8: 'breve',
  4: 'whole',
  2: 'half',
  1: 'quarter',
  0.5: 'eighth',
  0.25: '16th',
  0.125: '32nd',
  0.0625: '64th',
  0.03125: '128th',
};

export const duration = (quarters: number): Element =>
  text('duration', Math.round(quarters * divisions));

const pitch = ({ letter, accidental, octave }: SpelledNote): Element =>
  element(
    'pitch',
    {},
    text('step', letter),
    accidental !== 0 && text('alter', accidental),
    text('octave', octave),
  );

/** One head of a note: its length, and whether it is the first or last of those tied together. */
interface Head {
  readonly written: Written;
  readonly quarters: number;
  readonly first: boolean;
  readonly last: boolean;
  readonly inChord: boolean;
}

function spelled(midi: number, key: KeyMark | undefined): SpelledNote {
  const { fifths, mode } = key ?? { fifths: 0, mode: 'major' as const };
  const tonic = trebleTonic(fifths, mode);
  return spellInKey(midi, tonic, spellKey(tonic, mode, fifths > 0 ? 'sharps' : 'flats'));
}

/** A note's syllables as lyrics, verse by verse; what a word is within is told by its hyphens. */
function lyrics(note: StaffNote, goesOn: boolean[]): Element[] {
  return (note.syllables ?? []).flatMap((syllable, verse) => {
    if (syllable === '') return [];
    const begins = syllable.endsWith('-');
    const place = goesOn[verse] ? (begins ? 'middle' : 'end') : begins ? 'begin' : 'single';
    goesOn[verse] = begins;
    const words = begins ? syllable.slice(0, -1) : syllable;
    return [element('lyric', { number: verse + 1 }, text('syllabic', place), text('text', words))];
  });
}

/** How a length is shown: its head, its dots, and that it is one of a triplet. */
const shown = (written: Written): Child[] => [
  text('type', types[written.value] ?? 'quarter'),
  ...Array.from({ length: written.dots }, () => element('dot')),
  written.triplet &&
    element('time-modification', {}, text('actual-notes', 3), text('normal-notes', 2)),
];

const slide = (type: 'start' | 'stop'): Element =>
  element('slide', { type, number: 1, 'line-type': type === 'start' ? 'solid' : undefined });

/** The end of a slide that leads to no note: one that takes no time of its own. */
const slideEnd = (note: StaffNote, { key, staff }: Setting): Element =>
  element(
    'note',
    {},
    element('grace'),
    pitch(spelled(note.slideTo!, key)),
    text('voice', note.voice),
    text('type', 'quarter'),
    staff !== undefined && text('staff', staff),
    element('notations', {}, slide('stop')),
  );

interface Setting {
  readonly key: KeyMark | undefined;
  readonly staff: number | undefined;
  readonly slides: Slides;
  readonly goesOn: boolean[];
  /** Whether the voice's note before was bound to this one. */
  readonly wasBound: boolean;
}

function noteElement(note: StaffNote, head: Head, setting: Setting): Element {
  const { written, quarters, first, last, inChord } = head;
  const stop = !first || note.tieStop === true;
  const start = !last || note.tieStart === true;
  const bound = note.slur === true;
  const notations = [
    stop && element('tied', { type: 'stop' }),
    start && element('tied', { type: 'start' }),
    !inChord && first && setting.wasBound && !bound && element('slur', { type: 'stop', number: 1 }),
    !inChord && last && bound && !setting.wasBound && element('slur', { type: 'start', number: 1 }),
    first && setting.slides.stops.has(note) && slide('stop'),
    last && slidesOn(note) && slide('start'),
    last && note.breathAfter && element('articulations', {}, element('breath-mark')),
  ].filter((one) => one !== false && one !== undefined);
  return element(
    'note',
    {},
    inChord && element('chord'),
    pitch(spelled(note.midi, setting.key)),
    duration(quarters),
    stop && element('tie', { type: 'stop' }),
    start && element('tie', { type: 'start' }),
    text('voice', note.voice),
    ...shown(written),
    note.stem && text('stem', note.stem),
    setting.staff !== undefined && text('staff', setting.staff),
    notations.length > 0 && element('notations', {}, notations),
    first && !inChord ? lyrics(note, setting.goesOn) : [],
  );
}

const barRest = (quarters: number, voice: string, staff: number | undefined): Element =>
  element(
    'note',
    {},
    element('rest', { measure: 'yes' }),
    duration(quarters),
    text('voice', voice),
    staff !== undefined && text('staff', staff),
  );

/** A silence as rests of written lengths; one that cannot be written so is only timed. */
function rests(quarters: number, voice: string, staff: number | undefined): Element[] {
  const pieces = writtenLengths(quarters);
  const sum = pieces.reduce((total, piece) => total + quartersOf(piece), 0);
  const exactly = Math.abs(sum - quarters) < near ? pieces : [undefined];
  return exactly.map((piece) =>
    element(
      'note',
      {},
      element('rest'),
      duration(piece ? quartersOf(piece) : quarters),
      text('voice', voice),
      ...(piece ? shown(piece) : []),
      staff !== undefined && text('staff', staff),
    ),
  );
}

/** What a voice remembers from bar to bar. */
export interface VoiceState {
  readonly goesOn: boolean[];
  bound: boolean;
}

/** Notes that begin together; in a layer they are equally long. */
function chordsOf(notes: readonly StaffNote[]): StaffNote[][] {
  const chords: StaffNote[][] = [];
  for (const note of notes) {
    const last = chords[chords.length - 1];
    if (last && Math.abs(last[0]!.at - note.at) < near) last.push(note);
    else chords.push([note]);
  }
  return chords;
}

/** A chord, head by head: a length that needs several is tied on in all its notes at once. */
function chordElements(together: readonly StaffNote[], setting: Setting): Element[] {
  const [longest] = together;
  const pieces = writtenLengths(longest!.quarters);
  return pieces.flatMap((written, piece) =>
    together.map((note, i) => {
      const place = { first: piece === 0, last: piece === pieces.length - 1, inChord: i > 0 };
      return noteElement(note, { written, quarters: quartersOf(written), ...place }, setting);
    }),
  );
}

/** Notes that would overlap in one voice, parted into layers that do not; chords stay together. */
export function layersOf(notes: readonly StaffNote[]): StaffNote[][] {
  const layers: { notes: StaffNote[]; end: number; last: StaffNote }[] = [];
  for (const note of notes) {
    const fits = layers.find(
      ({ end, last }) =>
        note.at >= end - near ||
        (Math.abs(note.at - last.at) < near && Math.abs(note.quarters - last.quarters) < near),
    );
    const end = note.at + note.quarters;
    if (fits) {
      fits.notes.push(note);
      fits.end = end;
      fits.last = note;
    } else layers.push({ notes: [note], end, last: note });
  }
  return layers.map((layer) => layer.notes);
}

/** One voice of a bar: its notes with the silences between. */
export function voiceElements(
  notes: readonly StaffNote[],
  bar: ScoreBar,
  where: {
    readonly voice: string;
    readonly staff: number | undefined;
    readonly key: KeyMark | undefined;
    readonly slides: Slides;
  },
  state: VoiceState,
): Element[] {
  const { voice, staff, key, slides } = where;
  if (notes.length === 0) return [barRest(bar.quarters, voice, staff)];
  const all: Element[] = [];
  let at = 0;
  for (const together of chordsOf(notes)) {
    const [first] = together;
    const { at: begins, quarters, dynamic, slur } = first!;
    if (begins - at > near) all.push(...rests(begins - at, voice, staff));
    if (dynamic) {
      all.push(
        element(
          'direction',
          { placement: 'above' },
          element('direction-type', {}, element('dynamics', {}, element(dynamic))),
        ),
      );
    }
    const setting = { key, staff, slides, goesOn: state.goesOn, wasBound: state.bound };
    all.push(...chordElements(together, setting));
    if (slides.ends.has(first!)) all.push(slideEnd(first!, setting));
    state.bound = slur === true;
    at = begins + quarters;
  }
  const left = bar.quarters - at;
  if (left > near) all.push(...rests(left, voice, staff));
  return all;
}
