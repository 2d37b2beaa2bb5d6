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
import { articulationsOf, loudness, wedge } from './signs';
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

/** Where a head stands among those that share a tuplet. */
interface InTuplet {
  readonly tupletStart?: boolean | undefined;
  readonly tupletStop?: boolean | undefined;
}

/** One head of a note: its length, and whether it is the first or last of those tied together. */
interface Head extends InTuplet {
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

const tuplet = ({ tupletStart, tupletStop }: InTuplet): Element[] => [
  ...(tupletStart ? [element('tuplet', { type: 'start', number: 1, bracket: 'yes' })] : []),
  ...(tupletStop ? [element('tuplet', { type: 'stop', number: 1 })] : []),
];

/**
 * Which written lengths of a bar's voice begin and end a triplet: one lasts until it fills a plain
 * length, or as long as there are lengths of it.
 */
function tupletsOf(pieces: readonly (Written | undefined)[]): InTuplet[] {
  const marks: { tupletStart?: boolean; tupletStop?: boolean }[] = pieces.map(() => ({}));
  let open = -1;
  let filled = 0;
  pieces.forEach((piece, i) => {
    if (!piece?.triplet) return;
    if (open < 0) {
      open = i;
      filled = 0;
    }
    filled += quartersOf(piece);
    const isPlain = Math.abs(filled * 16 - Math.round(filled * 16)) < 1e-6;
    if (!isPlain && pieces[i + 1]?.triplet) return;
    marks[open]!.tupletStart = true;
    marks[i]!.tupletStop = true;
    open = -1;
  });
  return marks;
}

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
    ...(inChord ? [] : tuplet(head)),
    !inChord && first && setting.wasBound && !bound && element('slur', { type: 'stop', number: 1 }),
    !inChord && last && bound && !setting.wasBound && element('slur', { type: 'start', number: 1 }),
    first && setting.slides.stops.has(note) && slide('stop'),
    last && slidesOn(note) && slide('start'),
    articulationsOf(note, head.first, head.last),
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

/** A silence as written lengths; one that cannot be written so is only timed. */
function restPieces(quarters: number): readonly (Written | undefined)[] {
  const pieces = writtenLengths(quarters);
  const sum = pieces.reduce((total, piece) => total + quartersOf(piece), 0);
  return Math.abs(sum - quarters) < near ? pieces : [undefined];
}

function restElements(
  { quarters, pieces }: Extract<Item, { kind: 'rest' }>,
  marks: readonly InTuplet[],
  voice: string,
  staff: number | undefined,
): Element[] {
  return pieces.map((piece, i) => {
    const notations = tuplet(marks[i] ?? {});
    return element(
      'note',
      {},
      element('rest'),
      duration(piece ? quartersOf(piece) : quarters),
      text('voice', voice),
      ...(piece ? shown(piece) : []),
      staff !== undefined && text('staff', staff),
      notations.length > 0 && element('notations', {}, notations),
    );
  });
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
function chordElements(
  { together, pieces }: Extract<Item, { kind: 'chord' }>,
  marks: readonly InTuplet[],
  setting: Setting,
): Element[] {
  return pieces.flatMap((written, piece) =>
    together.map((note, i) => {
      const place = { first: piece === 0, last: piece === pieces.length - 1, inChord: i > 0 };
      const head = { written, quarters: quartersOf(written), ...place, ...marks[piece] };
      return noteElement(note, head, setting);
    }),
  );
}

/** What a voice has in a bar, one after the other: silences and notes together, in written lengths. */
type Item =
  | {
      readonly kind: 'rest';
      readonly quarters: number;
      readonly pieces: readonly (Written | undefined)[];
    }
  | {
      readonly kind: 'chord';
      readonly together: readonly StaffNote[];
      readonly pieces: readonly Written[];
    };

function itemsOf(notes: readonly StaffNote[], quarters: number): Item[] {
  const items: Item[] = [];
  let at = 0;
  const rest = (until: number) => {
    const silent = until - at;
    if (silent > near) items.push({ kind: 'rest', quarters: silent, pieces: restPieces(silent) });
  };
  for (const together of chordsOf(notes)) {
    const [first] = together;
    rest(first!.at);
    items.push({ kind: 'chord', together, pieces: writtenLengths(first!.quarters) });
    at = first!.at + first!.quarters;
  }
  rest(quarters);
  return items;
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
  const items = itemsOf(notes, bar.quarters);
  const marks = tupletsOf(items.flatMap(({ pieces }) => pieces));
  let place = 0;
  return items.flatMap((item) => {
    const own = marks.slice(place, place + item.pieces.length);
    place += item.pieces.length;
    if (item.kind === 'rest') return restElements(item, own, voice, staff);
    const first = item.together[0]!;
    const setting = { key, staff, slides, goesOn: state.goesOn, wasBound: state.bound };
    const elements = chordElements(item, own, setting);
    state.bound = first.slur === true;
    return [
      ...(first.dynamic ? [loudness(first.dynamic)] : []),
      ...(first.swell ? [wedge(first.swell === 'growing' ? 'crescendo' : 'diminuendo')] : []),
      ...elements,
      ...(first.swellEnd ? [wedge('stop')] : []),
      ...(slides.ends.has(first) ? [slideEnd(first, setting)] : []),
    ];
  });
}
