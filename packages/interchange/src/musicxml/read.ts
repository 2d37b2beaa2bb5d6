import {
  dynamics,
  modes,
  type Dynamic,
  type Metre,
  type MidiNote,
  type Mode,
  type Semitones,
} from '@wide-fern/core';
import { notes as collect, refuse, type FoundMusic, type Notes } from '../common/found';
import { likelyTonic, musicOf } from '../common/lines';
import { fieldName, readFileNote } from './fields';
import { child, childrenOf, countOf, numberOf, readTree, textOf, type Tree } from '../xml/tree';
import { midiOf, syllableOf } from './note';
import { ReadVoice } from './voice';

const modeWords: Readonly<Record<string, Mode>> = {
  major: 'major',
  ionian: 'major',
  minor: 'minor',
  aeolian: 'minor',
  dorian: 'dorian',
  phrygian: 'phrygian',
  lydian: 'lydian',
  mixolydian: 'mixolydian',
  none: 'chromatic',
};
const units = [1, 2, 4, 8, 16] as const;
/** A score with more notes than this is not even parsed: four full lines have a fifth of them. */
const mostNotes = 8000;
const mostTags = 250_000;
const seldomKept: Readonly<Record<string, string>> = {
  harmony: 'Chord symbols are left out.',
  'figured-bass': 'Figured bass is left out.',
};

/** What holds for the whole piece: the first key, time and tempo of any part. */
interface Whole {
  fifths: number | undefined;
  mode: Mode | undefined;
  metre: Metre | undefined;
  hasTime: boolean;
  tempo: number | undefined;
}

/** A part while it is read. */
interface Reading {
  readonly name: string;
  readonly voices: Map<string, ReadVoice>;
  divisions: number;
  octave: Semitones;
  hasClef: boolean;
  transpose: Semitones;
  dynamic: Dynamic | undefined;
}

function readAttributes(tree: Tree, part: Reading, whole: Whole, where: string, notKept: Notes) {
  part.divisions = numberOf(tree, 'divisions') ?? part.divisions;
  if (!(part.divisions > 0)) refuse('This file counts its lengths by nothing. It is damaged.');
  const key = child(tree, 'key');
  if (key) {
    const fifths = Math.round(numberOf(key, 'fifths') ?? 0);
    const words = textOf(key, 'mode') || 'major';
    const mode = modeWords[words];
    if (!mode) notKept.add(where, `The mode ${words} is read as major.`);
    if (whole.fifths === undefined) {
      whole.fifths = fifths;
      whole.mode = mode ?? 'major';
    } else if (whole.fifths !== fifths) {
      notKept.add(where, 'The key changes; all notes are counted from the first key.');
    }
  }
  const time = child(tree, 'time');
  if (time) readTime(time, whole, where, notKept);
  const clef = child(tree, 'clef');
  if (clef && !part.hasClef) {
    part.hasClef = true;
    const low = textOf(clef, 'sign') === 'F' || (numberOf(clef, 'clef-octave-change') ?? 0) < 0;
    part.octave = low ? -12 : 0;
  }
  const transpose = child(tree, 'transpose');
  if (transpose) {
    part.transpose =
      (numberOf(transpose, 'chromatic') ?? 0) + 12 * (numberOf(transpose, 'octave-change') ?? 0);
  }
}

function readTime(time: Tree, whole: Whole, where: string, notKept: Notes): void {
  const beats = numberOf(time, 'beats');
  const unit = numberOf(time, 'beat-type');
  const known = units.find((one) => one === unit);
  const isMetre = beats !== undefined && Number.isInteger(beats) && beats >= 1 && beats <= 32;
  const isHidden = time.attributes['print-object'] === 'no';
  const metre = isMetre && known && !isHidden ? { beats, unit: known } : undefined;
  // A bar that only tells its own length changes no metre.
  if (isHidden && whole.hasTime) return;
  if (!whole.hasTime) {
    whole.hasTime = true;
    whole.metre = metre;
    if (!metre && !isHidden && !child(time, 'senza-misura'))
      notKept.add(where, 'This time signature is left out.');
  } else if (JSON.stringify(metre) !== JSON.stringify(whole.metre)) {
    notKept.add(where, 'The time signature changes; bars follow the first one.');
  }
}

function readDirection(tree: Tree, part: Reading, whole: Whole, where: string, notKept: Notes) {
  for (const type of childrenOf(tree, 'direction-type')) {
    for (const mark of child(type, 'dynamics')?.children ?? []) {
      if ((dynamics as readonly string[]).includes(mark.name)) part.dynamic = mark.name as Dynamic;
      else notKept.add(where, `The mark ${mark.name} is left out.`);
    }
    if (child(type, 'wedge')) notKept.add(where, 'Swelling and fading marks are left out.');
    if (child(type, 'words')) notKept.add(where, 'Words above the staff are left out.');
  }
  readTempo(child(tree, 'sound'), whole, where, notKept);
}

function readTempo(sound: Tree | undefined, whole: Whole, where: string, notKept: Notes): void {
  const tempo = Number(sound?.attributes.tempo ?? NaN);
  if (!(tempo > 0)) return;
  if (whole.tempo === undefined) whole.tempo = tempo;
  else if (whole.tempo !== tempo) notKept.add(where, 'The tempo changes; the first one is kept.');
}

function readNote(
  note: Tree,
  part: Reading,
  at: number,
  where: string,
  notKept: Notes,
): { quarters: number; isChord: boolean } {
  const key = `${textOf(note, 'staff') || '1'} ${textOf(note, 'voice') || '1'}`;
  const voice = part.voices.get(key) ?? new ReadVoice();
  part.voices.set(key, voice);
  const notation = childrenOf(note, 'notations');
  const marks = (name: string, type: string) =>
    notation
      .flatMap((one) => childrenOf(one, name))
      .filter(({ attributes }) => attributes.type === type).length;
  const midi = midiOf(note, part.transpose);
  if (child(note, 'grace')) {
    if (marks('slide', 'stop') + marks('glissando', 'stop') > 0 && midi !== null)
      voice.slideEnd = midi;
    else notKept.add(where, 'Grace notes are left out.');
    return { quarters: 0, isChord: false };
  }
  if (child(note, 'chord')) {
    notKept.add(where, 'Where one voice has several notes, the first is kept.');
    return { quarters: 0, isChord: true };
  }
  const duration = numberOf(note, 'duration') ?? 0;
  if (!(duration > 0) || duration / part.divisions > 1024) {
    refuse(`A note at ${where} has no length. The file is damaged.`);
  }
  if (child(note, 'unpitched')) notKept.add(where, 'Notes without pitch are read as rests.');
  const ties = childrenOf(note, 'tie').map(({ attributes }) => attributes.type);
  const articulations = notation.flatMap((one) => childrenOf(one, 'articulations'));
  for (const { name } of articulations.flatMap(({ children }) => children)) {
    if (name !== 'breath-mark') notKept.add(where, `The sign ${name} is left out.`);
  }
  for (const { name } of notation.flatMap(({ children }) => children)) {
    if (['ornaments', 'fermata', 'technical', 'arpeggiate'].includes(name)) {
      notKept.add(where, `The sign ${name} is left out.`);
    }
  }
  voice.add({
    at,
    quarters: duration / part.divisions,
    midi,
    syllable: midi === null ? undefined : syllableOf(note, where, notKept),
    tieStart: ties.includes('start'),
    tieStop: ties.includes('stop'),
    slurStarts: marks('slur', 'start'),
    slurStops: marks('slur', 'stop'),
    slideStart: marks('slide', 'start') + marks('glissando', 'start') > 0,
    breathAfter: articulations.some((one) => child(one, 'breath-mark')),
    dynamic: midi === null ? undefined : part.dynamic,
  });
  if (midi !== null) part.dynamic = undefined;
  return { quarters: duration / part.divisions, isChord: false };
}

/** One part, bar by bar; a cursor moves through its voices. */
function readPart(tree: Tree, name: string, whole: Whole, notKept: Notes): Reading {
  const part: Reading = {
    name,
    voices: new Map(),
    divisions: 1,
    octave: 0,
    hasClef: false,
    transpose: 0,
    dynamic: undefined,
  };
  let barStart = 0;
  for (const measure of childrenOf(tree, 'measure')) {
    const where = `${name}, bar ${measure.attributes.number ?? '?'}`;
    let at = barStart;
    let barEnd = barStart;
    for (const item of measure.children) {
      if (item.name === 'attributes') readAttributes(item, part, whole, where, notKept);
      else if (item.name === 'direction') readDirection(item, part, whole, where, notKept);
      else if (item.name === 'sound') readTempo(item, whole, where, notKept);
      else if (item.name === 'note') at += readNote(item, part, at, where, notKept).quarters;
      else if (item.name === 'backup') at -= (numberOf(item, 'duration') ?? 0) / part.divisions;
      else if (item.name === 'forward') at += (numberOf(item, 'duration') ?? 0) / part.divisions;
      else if (item.name === 'barline') {
        if (child(item, 'repeat') || child(item, 'ending')) {
          notKept.add(where, 'Repeats are not carried out: every bar is read once.');
        }
      } else if (seldomKept[item.name]) notKept.add(where, seldomKept[item.name]!);
      at = Math.max(barStart, at);
      barEnd = Math.max(barEnd, at);
    }
    barStart = barEnd;
  }
  return part;
}

/** The pitch class of a key's tonic, from its signature. */
const tonicClass = (fifths: number, mode: Mode): number =>
  ((((fifths - modes[mode].fifths) * 7) % 12) + 12) % 12;

/**
 * Reads a MusicXML score into an exercise: one melody, or up to four parts (docs/interchange.md).
 * @throws UnreadableFile with words for a person
 */
export function readMusicXml(xml: string): FoundMusic {
  const notes = countOf(xml, '<note');
  if (notes > mostNotes) {
    refuse(
      `This score has ${notes} notes: that is a piece, not an exercise. Read it in at Pieces, and make an exercise of a few of its bars there.`,
    );
  }
  const root = readTree(xml, {
    tags: mostTags,
    tooMany: 'This file holds far more than an exercise needs. Cut a few bars out of it first.',
  });
  if (root.name === 'score-timewise') {
    refuse('This score is ordered by bars, not by parts. Save it as partwise MusicXML.');
  }
  if (root.name !== 'score-partwise') {
    refuse('This XML file is no MusicXML score. Choose a file saved as MusicXML.');
  }
  const notKept = collect();
  const whole: Whole = {
    fifths: undefined,
    mode: undefined,
    metre: undefined,
    hasTime: false,
    tempo: undefined,
  };
  const names = new Map(
    childrenOf(child(root, 'part-list'), 'score-part').map((part) => [
      part.attributes.id ?? '',
      textOf(part, 'part-name'),
    ]),
  );
  const parts = childrenOf(root, 'part').map((part, i) =>
    readPart(part, names.get(part.attributes.id ?? '') || `part ${i + 1}`, whole, notKept),
  );
  const fields = childrenOf(
    child(child(root, 'identification'), 'miscellaneous'),
    'miscellaneous-field',
  );
  const field = (name: string) =>
    fields.find(({ attributes }) => attributes.name === name)?.text.trim() ?? '';
  const mode = field(fieldName.mode) === 'chromatic' ? 'chromatic' : (whole.mode ?? 'major');
  const beatsInQuarter = (whole.metre?.unit ?? 4) / 4;
  const voices = parts.flatMap((part) =>
    [...part.voices.values()].map((voice) => ({ ...part, voice })),
  );
  const lowest = voices.flatMap(({ voice, octave }) =>
    voice.lowest === undefined ? [] : [voice.lowest - octave],
  );
  const said = readFileNote(field(fieldName.tonic));
  const pitchClass = tonicClass(whole.fifths ?? 0, mode);
  const tonic =
    said !== undefined && said % 12 === pitchClass
      ? said
      : likelyTonic(pitchClass, lowest.length > 0 ? Math.min(...lowest) : 60);
  const name = textOf(child(root, 'work'), 'work-title') || textOf(root, 'movement-title');
  const music =
    slideOf(voices, { tonic, mode, beatsInQuarter }) ??
    musicOf(
      voices.map(({ name: part, octave, voice }) => ({
        name: part,
        octave,
        events: voice.sounding(beatsInQuarter),
      })),
      { mode, metre: whole.metre, tonic, notKept },
    );
  if (music.kind !== 'glide' && voices.some(({ voice }) => voice.isSliding)) {
    notKept.add('', 'Slides between single notes are left out.');
  }
  return {
    name,
    music,
    tonic,
    tempo: whole.tempo === undefined ? undefined : whole.tempo * beatsInQuarter,
    notKept: notKept.list,
  };
}

/** A single voice that slides becomes a slide. */
function slideOf(
  voices: readonly { readonly voice: ReadVoice; readonly octave: Semitones }[],
  { tonic, mode, beatsInQuarter }: { tonic: MidiNote; mode: Mode; beatsInQuarter: number },
): FoundMusic['music'] | undefined {
  const [only] = voices;
  if (voices.length !== 1 || !only?.voice.isSliding) return undefined;
  const points = only.voice.points(tonic + only.octave, beatsInQuarter);
  if (!points || points.length > 24) return undefined;
  return { kind: 'glide', mode, points, syllable: only.voice.syllable ?? 'ah' };
}
