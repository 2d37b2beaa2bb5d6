import {
  inForce,
  quartersOf,
  spellInKey,
  spellKey,
  trebleTonic,
  writtenLengths,
  type KeyMark,
  type PieceScore,
  type ScoreBar,
  type SpelledNote,
  type Staff,
  type StaffNote,
  type Written,
} from '@wide-fern/core';
import { element, text, type Element } from '../xml/element';

/** Parts of a quarter that lengths are counted in: exact for 32nds and triplets. */
const divisions = 96;
const near = 1e-4;

const types: Readonly<Record<number, string>> = {
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

const duration = (quarters: number): Element => text('duration', Math.round(quarters * divisions));

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

interface Setting {
  readonly key: KeyMark | undefined;
  readonly staff: number | undefined;
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
    text('type', types[written.value] ?? 'quarter'),
    Array.from({ length: written.dots }, () => element('dot')),
    written.triplet &&
      element('time-modification', {}, text('actual-notes', 3), text('normal-notes', 2)),
    note.stem && text('stem', note.stem),
    setting.staff !== undefined && text('staff', setting.staff),
    notations.length > 0 && element('notations', {}, notations),
    first && !inChord ? lyrics(note, setting.goesOn) : [],
  );
}

function restElement(
  quarters: number,
  voice: string,
  staff: number | undefined,
  whole: boolean,
): Element {
  return element(
    'note',
    {},
    whole ? element('rest', { measure: 'yes' }) : element('rest'),
    duration(quarters),
    text('voice', voice),
    staff !== undefined && text('staff', staff),
  );
}

/** What a voice remembers from bar to bar. */
interface VoiceState {
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
function layersOf(notes: readonly StaffNote[]): StaffNote[][] {
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
function voiceElements(
  notes: readonly StaffNote[],
  bar: ScoreBar,
  where: { voice: string; staff: number | undefined; key: KeyMark | undefined },
  state: VoiceState,
): Element[] {
  const { voice, staff, key } = where;
  if (notes.length === 0) return [restElement(bar.quarters, voice, staff, true)];
  const all: Element[] = [];
  let at = 0;
  for (const together of chordsOf(notes)) {
    const [first] = together;
    const { at: begins, quarters, dynamic, slur } = first!;
    if (begins - at > near) all.push(restElement(begins - at, voice, staff, false));
    if (dynamic) {
      all.push(
        element(
          'direction',
          { placement: 'above' },
          element('direction-type', {}, element('dynamics', {}, element(dynamic))),
        ),
      );
    }
    const setting = { key, staff, goesOn: state.goesOn, wasBound: state.bound };
    all.push(...chordElements(together, setting));
    state.bound = slur === true;
    at = begins + quarters;
  }
  const left = bar.quarters - at;
  if (left > near) all.push(restElement(left, voice, staff, false));
  return all;
}

function clefElement({ clef }: Staff, number: number | undefined): Element {
  const [sign, line] = clef === 'bass' ? ['F', 4] : ['G', 2];
  return element(
    'clef',
    { number },
    text('sign', sign),
    text('line', line),
    clef === 'octave-treble' && text('clef-octave-change', -1),
  );
}

function attributes(
  score: PieceScore,
  place: number,
  staves: readonly Staff[],
): Element | undefined {
  const key = score.keys.find(({ bar }) => bar === place);
  const metre = score.metres.find(({ bar }) => bar === place)?.metre;
  const isFirst = place === 0;
  const parts = [
    isFirst && text('divisions', divisions),
    key && element('key', {}, text('fifths', key.fifths), text('mode', key.mode)),
    metre && element('time', {}, text('beats', metre.beats), text('beat-type', metre.unit)),
    isFirst && staves.length > 1 && text('staves', staves.length),
    ...(isFirst
      ? staves.map((staff, i) => clefElement(staff, staves.length > 1 ? i + 1 : undefined))
      : []),
  ].filter((part) => part !== false && part !== undefined);
  return parts.length > 0 ? element('attributes', {}, parts) : undefined;
}

const direction = (sound: Record<string, string | number>, ...shown: Element[]): Element =>
  element(
    'direction',
    { placement: 'above' },
    element('direction-type', {}, shown),
    element('sound', sound),
  );
const words = (said: string): Element => text('words', said);

/** Tempo, segno and coda at a bar's beginning, for the first part. */
function before(score: PieceScore, place: number): Element[] {
  const bar = score.bars[place]!;
  const tempos = score.tempos.filter((mark) => mark.bar === place);
  return [
    ...tempos.map(({ at, tempo }) =>
      element(
        'direction',
        { placement: 'above' },
        element(
          'direction-type',
          {},
          element('metronome', {}, text('beat-unit', 'quarter'), text('per-minute', tempo)),
        ),
        at > near && text('offset', Math.round(at * divisions)),
        element('sound', { tempo }),
      ),
    ),
    ...(bar.segno ? [direction({ segno: 'segno' }, element('segno'))] : []),
    ...(bar.coda ? [direction({ coda: 'coda' }, element('coda'))] : []),
  ];
}

/** Where it goes on from a bar's end, for the first part. */
function after({ toCoda, fine, backTo }: ScoreBar): Element[] {
  return [
    ...(toCoda ? [direction({ tocoda: 'coda' }, words('To Coda'))] : []),
    ...(fine ? [direction({ fine: 'yes' }, words('Fine'))] : []),
    ...(backTo === 'beginning' ? [direction({ dacapo: 'yes' }, words('D.C.'))] : []),
    ...(backTo === 'segno' ? [direction({ dalsegno: 'segno' }, words('D.S.'))] : []),
  ];
}

const sameEndings = (a: ScoreBar | undefined, b: ScoreBar | undefined): boolean =>
  a?.endings?.join() === b?.endings?.join();

function barlines(bars: readonly ScoreBar[], place: number): { left: Element[]; right: Element[] } {
  const bar = bars[place]!;
  const number = bar.endings?.join(', ');
  const begins = number !== undefined && !sameEndings(bar, bars[place - 1]);
  const ends = number !== undefined && !sameEndings(bar, bars[place + 1]);
  const isLast = place === bars.length - 1;
  const left = [
    begins && element('ending', { number, type: 'start' }),
    bar.repeatFrom && element('repeat', { direction: 'forward' }),
  ].filter((one) => one !== false && one !== undefined);
  const right = [
    (isLast || bar.repeatTo !== undefined) && text('bar-style', 'light-heavy'),
    ends && element('ending', { number, type: bar.repeatTo ? 'stop' : 'discontinue' }),
    bar.repeatTo && element('repeat', { direction: 'backward', times: bar.repeatTo.times }),
  ].filter((one) => one !== false && one !== undefined);
  return {
    left: left.length > 0 ? [element('barline', { location: 'left' }, left)] : [],
    right: right.length > 0 ? [element('barline', { location: 'right' }, right)] : [],
  };
}

function notesByBar({ notes }: Staff): Map<number, StaffNote[]> {
  const bars = new Map<number, StaffNote[]>();
  for (const note of notes) {
    const bar = bars.get(note.bar);
    if (bar) bar.push(note);
    else bars.set(note.bar, [note]);
  }
  return bars;
}

/** Staves of one part of the score: those whose ids differ only behind the point. */
function partsOf(score: PieceScore): Staff[][] {
  const parts = new Map<string, Staff[]>();
  for (const staff of score.staves) {
    const id = staff.id.slice(0, staff.id.lastIndexOf('.'));
    parts.set(id, [...(parts.get(id) ?? []), staff]);
  }
  return [...parts.values()];
}

function measures(score: PieceScore, staves: readonly Staff[], isFirstPart: boolean): Element[] {
  const byBar = staves.map(notesByBar);
  const states = new Map<string, VoiceState>();
  const stateOf = (key: string): VoiceState => {
    const found = states.get(key) ?? { goesOn: [], bound: false };
    states.set(key, found);
    return found;
  };
  return score.bars.map((bar, place) => {
    const key = inForce(score.keys, place);
    const voices = staves.flatMap((staff, i) => {
      const here = byBar[i]!.get(place) ?? [];
      const names = staff.voices[place] ?? [];
      return (names.length > 0 ? names : ['1']).flatMap((voice) => {
        const notes = here.filter((note) => note.voice === voice);
        const number = staves.length > 1 ? i + 1 : undefined;
        const layers = layersOf(notes);
        return (layers.length > 0 ? layers : [[]]).map((layer, k) =>
          voiceElements(layer, bar, { voice, staff: number, key }, stateOf(`${i} ${voice} ${k}`)),
        );
      });
    });
    const back = element('backup', {}, duration(bar.quarters));
    const { left, right } = barlines(score.bars, place);
    const isHalf = !bar.counted && place > 0;
    return element(
      'measure',
      {
        number: isHalf ? `X${place}` : bar.number,
        implicit: bar.counted ? undefined : 'yes',
      },
      left,
      attributes(score, place, staves),
      isFirstPart ? before(score, place) : [],
      voices.flatMap((elements, i) => (i === 0 ? elements : [back, ...elements])),
      isFirstPart ? after(bar) : [],
      right,
    );
  });
}

/** A choir score as MusicXML 4.0, partwise, staff by staff as it was read (docs/interchange.md). */
export function writeScoreXml(score: PieceScore): string {
  const parts = partsOf(score);
  const root = element(
    'score-partwise',
    { version: '4.0' },
    element('work', {}, text('work-title', score.title)),
    element(
      'identification',
      {},
      score.composer !== '' && element('creator', { type: 'composer' }, score.composer),
      element('encoding', {}, text('software', 'Wide Fern')),
    ),
    score.language !== '' &&
      element('defaults', {}, element('lyric-language', { 'xml:lang': score.language })),
    element(
      'part-list',
      {},
      parts.map(([staff], i) =>
        element(
          'score-part',
          { id: `P${i + 1}` },
          text('part-name', staff!.name),
          staff!.abbreviation !== '' && text('part-abbreviation', staff!.abbreviation),
        ),
      ),
    ),
    parts.map((staves, i) =>
      element('part', { id: `P${i + 1}` }, measures(score, staves, i === 0)),
    ),
  );
  return `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">
${root.xml}
`;
}
