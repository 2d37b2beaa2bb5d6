import { dynamics, own, type Clef, type Staff, type StaffNote } from '@wide-fern/core';
import { refuse } from '../common/found';
import { child, childrenOf, numberOf, textOf, type Tree } from '../xml/tree';
import { syllablesOf } from './lyrics';
import type { Structure } from './structure';
import type { Warnings } from '../common/warnings';

const steps: Readonly<Record<string, number>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };
/** What is sung otherwise than it is written, and is told by bar. */
const notTaken: Readonly<Record<string, string>> = {
  fermata: 'The fermata is counted as long as it is written.',
  ornaments: 'The ornament is counted as the plain note.',
};
/** What is not counted in a piece, and is missed in an exercise. */
const missed = ['technical', 'arpeggiate', 'non-arpeggiate'];

/** Sums of thirds and sevenths of a quarter, exact again: a multiple of all lengths that are written. */
const exact = (quarters: number): number => Math.round(quarters * 40_320) / 40_320;

type Writable = { -readonly [K in keyof StaffNote]: StaffNote[K] };

/** A staff while it is read. */
interface ReadingStaff {
  readonly notes: Writable[];
  readonly voices: Set<string>[];
  clef: Clef | undefined;
  /** Whether a clef or a transposition says the octave. */
  octaveSaid: boolean;
  readonly slurs: Map<string, number>;
  /** By voice, the note that slides to the next one. */
  readonly slides: Map<string, Writable>;
}

/** How a part is named in the list of parts. */
export interface PartNames {
  readonly name: string;
  readonly abbreviation: string;
  /** What it is bracketed with. */
  readonly group: string;
}

const clefOf = (tree: Tree): Clef => {
  if (textOf(tree, 'sign') === 'F') return 'bass';
  return (numberOf(tree, 'clef-octave-change') ?? 0) < 0 ? 'octave-treble' : 'treble';
};

type Marks = Pick<Writable, 'dynamic' | 'swell'>;

/** One part of a score, bar by bar; a cursor moves through its staves and voices. */
export class PartReader {
  private readonly staves = new Map<string, ReadingStaff>();
  private divisions = 1;
  private transpose = 0;
  private isTransposed = false;
  /** Whether a transposition by octaves is said. */
  private saysOctave = false;
  /** What is said above the staff of the next note. */
  private marks: Marks = {};
  private endings: readonly number[] = [];

  constructor(
    private readonly names: PartNames,
    private readonly structure: Structure,
    private readonly warnings: Warnings,
  ) {}

  private staff(name: string): ReadingStaff {
    const found = this.staves.get(name);
    if (found) return found;
    const made: ReadingStaff = {
      notes: [],
      voices: [],
      clef: undefined,
      octaveSaid: false,
      slurs: new Map(),
      slides: new Map(),
    };
    this.staves.set(name, made);
    return made;
  }

  readBar(measure: Tree, place: number): void {
    const bar = this.structure.bar(place, measure);
    let at = 0;
    let end = 0;
    let chordAt = 0;
    for (const item of measure.children) {
      const shift = () => (numberOf(item, 'duration') ?? 0) / this.divisions;
      switch (item.name) {
        case 'note': {
          const isChord = child(item, 'chord') !== undefined;
          const quarters = this.readNote(item, place, isChord ? chordAt : at);
          if (!isChord) {
            chordAt = at;
            at = exact(at + quarters);
          }
          break;
        }
        case 'backup':
          at = Math.max(0, exact(at - shift()));
          break;
        case 'forward':
          at = exact(at + shift());
          break;
        case 'attributes':
          this.readAttributes(item, place);
          break;
        case 'direction': {
          const offset = (numberOf(item, 'offset') ?? 0) / this.divisions;
          this.structure.addDirection(item, place, bar, Math.max(0, at + offset));
          this.readDirection(item, place);
          break;
        }
        case 'sound':
          this.structure.addSound(item, place, bar, at);
          break;
        case 'barline':
          this.endings = this.structure.addBarline(item, bar, this.endings);
          break;
      }
      end = Math.max(end, at);
    }
    for (const number of this.endings) bar.endings.add(number);
    bar.quarters = Math.max(bar.quarters, end);
  }

  private readAttributes(tree: Tree, place: number): void {
    this.divisions = numberOf(tree, 'divisions') ?? this.divisions;
    if (!(this.divisions > 0)) refuse('This file counts its lengths by nothing. It is damaged.');
    const transpose = child(tree, 'transpose');
    if (transpose) {
      const chromatic = numberOf(transpose, 'chromatic') ?? 0;
      this.isTransposed = chromatic % 12 !== 0;
      const octaves = numberOf(transpose, 'octave-change') ?? 0;
      this.transpose = chromatic + 12 * octaves;
      if (octaves !== 0 || Math.abs(chromatic) >= 12) this.saysOctave = true;
    }
    const key = child(tree, 'key');
    if (key && !this.isTransposed) this.structure.addKey(key, place);
    const time = child(tree, 'time');
    if (time) this.structure.addTime(time, place);
    for (const clef of childrenOf(tree, 'clef')) {
      const staff = this.staff(clef.attributes.number ?? '1');
      staff.clef ??= clefOf(clef);
      if ((numberOf(clef, 'clef-octave-change') ?? 0) !== 0 || textOf(clef, 'sign') === 'C') {
        staff.octaveSaid = true;
      }
    }
    const repeated = childrenOf(tree, 'measure-style').some(
      (style) => child(style, 'measure-repeat') ?? child(style, 'beat-repeat'),
    );
    if (repeated) {
      this.warnings.add(place, this.names.name, 'A sign that repeats a bar was not carried out.');
    }
  }

  /** How loud, and what else stands above the staff. */
  private readDirection(tree: Tree, bar: number): void {
    for (const type of childrenOf(tree, 'direction-type')) {
      for (const { name, attributes, children } of type.children) {
        if (name === 'wedge') {
          // Where it stops says nothing that the next note does not say.
          if (attributes.type === 'crescendo') this.marks.swell = 'growing';
          if (attributes.type === 'diminuendo') this.marks.swell = 'fading';
        }
        if (name === 'words') this.miss(bar, 'Words above the staff are left out.');
        for (const mark of name === 'dynamics' ? children : []) {
          const known = dynamics.find((one) => one === mark.name);
          if (known) this.marks.dynamic = known;
          else this.miss(bar, `The mark ${mark.name} is left out.`);
        }
      }
    }
  }

  private miss(bar: number, what: string): void {
    this.warnings.add(bar, this.names.name, what, 'exercise');
  }

  /** Reads a note and answers how far the cursor moves, in quarters. */
  private readNote(note: Tree, bar: number, at: number): number {
    const quarters = (numberOf(note, 'duration') ?? 0) / this.divisions;
    // Grace notes take no time; cue notes are somebody else's.
    if (child(note, 'grace')) {
      this.readGrace(note, bar);
      return 0;
    }
    if (!(quarters > 0) || quarters > 4096) {
      refuse(`A note in bar ${bar + 1} of ${this.names.name} has no length. The file is damaged.`);
    }
    if (child(note, 'cue')) return quarters;
    const staff = this.staff(textOf(note, 'staff') || '1');
    const voice = textOf(note, 'voice') || '1';
    (staff.voices[bar] ??= new Set()).add(voice);
    const pitch = child(note, 'pitch');
    if (!pitch) {
      if (child(note, 'unpitched')) {
        this.warnings.add(bar, this.names.name, 'Notes without pitch are counted as rests.');
      }
      return quarters;
    }
    const read = this.noteOf(note, pitch, { bar, at, quarters, voice, staff });
    staff.notes.push(read);
    if (!child(note, 'chord')) this.slide(note, read, staff);
    return quarters;
  }

  /** A note without time of its own: an ornament, or where a slide ends. */
  private readGrace(note: Tree, bar: number): void {
    const { slides } = this.staff(textOf(note, 'staff') || '1');
    const voice = textOf(note, 'voice') || '1';
    const from = slides.get(voice);
    const pitch = child(note, 'pitch');
    if (!from || !pitch || !hasSlide(note, 'stop')) {
      this.miss(bar, 'Grace notes are left out.');
      return;
    }
    from.slideTo = this.midiOf(pitch, bar);
    slides.delete(voice);
  }

  /** Ends the slide that leads here, and begins one where this note slides on. */
  private slide(note: Tree, read: Writable, { slides }: ReadingStaff): void {
    const from = slides.get(read.voice);
    if (from) from.slideTo = read.midi;
    slides.delete(read.voice);
    if (hasSlide(note, 'start')) {
      slides.set(read.voice, read);
      const what = 'The slide is counted as two plain notes.';
      this.warnings.add(read.bar, this.names.name, what, 'piece');
    }
  }

  /** The note that sounds. */
  private midiOf(pitch: Tree, bar: number): number {
    const step = own(steps, textOf(pitch, 'step'));
    const octave = numberOf(pitch, 'octave');
    if (step === undefined || octave === undefined) {
      return refuse('A note in this file has no step or no octave. The file is damaged.');
    }
    const alter = Math.round(numberOf(pitch, 'alter') ?? 0);
    const midi = (octave + 1) * 12 + step + alter + this.transpose;
    if (midi < 0 || midi > 127) {
      refuse(
        `A note in bar ${bar + 1} of ${this.names.name} lies where nothing sounds. The file is damaged.`,
      );
    }
    return midi;
  }

  private noteOf(
    note: Tree,
    pitch: Tree,
    {
      bar,
      at,
      quarters,
      voice,
      staff,
    }: {
      readonly bar: number;
      readonly at: number;
      readonly quarters: number;
      readonly voice: string;
      readonly staff: ReadingStaff;
    },
  ): Writable {
    const read: Writable = { bar, at, quarters, midi: this.midiOf(pitch, bar), voice };
    const stem = textOf(note, 'stem');
    if (stem === 'up' || stem === 'down') read.stem = stem;
    for (const { attributes } of childrenOf(note, 'tie')) {
      if (attributes.type === 'start') read.tieStart = true;
      if (attributes.type === 'stop') read.tieStop = true;
    }
    this.readNotations(note, read, staff);
    const syllables = syllablesOf(note);
    if (syllables) read.syllables = syllables;
    Object.assign(read, this.marks);
    this.marks = {};
    return read;
  }

  private readNotations(note: Tree, read: Writable, { slurs }: ReadingStaff): void {
    let open = slurs.get(read.voice) ?? 0;
    for (const notations of childrenOf(note, 'notations')) {
      for (const { name, attributes, children } of notations.children) {
        if (name === 'slur' && attributes.type === 'start') open += 1;
        else if (name === 'slur' && attributes.type === 'stop') open = Math.max(0, open - 1);
        // Most files tie a note twice, for the ear and for the eye; some only for the eye.
        else if (name === 'tied' && attributes.type === 'start') read.tieStart = true;
        else if (name === 'tied' && attributes.type === 'stop') read.tieStop = true;
        else if (name === 'articulations') {
          for (const sign of children) {
            if (sign.name === 'breath-mark') read.breathAfter = true;
            else this.miss(read.bar, `The sign ${sign.name} is left out.`);
          }
        } else if (missed.includes(name)) {
          this.miss(read.bar, `The sign ${name} is left out.`);
        } else if (own(notTaken, name)) {
          this.warnings.add(read.bar, this.names.name, own(notTaken, name)!);
        }
      }
    }
    slurs.set(read.voice, open);
    if (open > 0) read.slur = true;
  }

  /** The part's staves that have notes on them. */
  finished(id: string, bars: number): Staff[] {
    return [...this.staves].map(([name, { notes, voices, clef, octaveSaid }]) => ({
      id: `${id}.${name}`,
      name: this.names.name,
      abbreviation: this.names.abbreviation,
      clef: clef ?? 'treble',
      ...(this.names.group === '' ? {} : { group: this.names.group }),
      ...(octaveSaid || this.saysOctave ? { octaveSaid: true } : {}),
      ofStaves: this.staves.size,
      notes: notes.sort((a, b) => a.bar - b.bar || a.at - b.at || b.midi - a.midi),
      voices: Array.from({ length: bars }, (_, bar) =>
        [...(voices[bar] ?? [])].sort((a, b) => a.localeCompare(b, 'en', { numeric: true })),
      ),
    }));
  }
}

/** Whether a slide starts or stops at a note, straight or wavy. */
const hasSlide = (note: Tree, type: 'start' | 'stop'): boolean =>
  childrenOf(note, 'notations').some(({ children }) =>
    children.some(
      ({ name, attributes }) =>
        (name === 'slide' || name === 'glissando') && attributes.type === type,
    ),
  );
