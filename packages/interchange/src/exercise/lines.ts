import {
  beatsOfEvents,
  isNote,
  type Dynamic,
  type Swell,
  type Metre,
  type MidiNote,
  type Mode,
  type PatternEvent,
  type Semitones,
} from '@wide-fern/core';
import { mostLines, mostNotesRead, refuse, type FoundMusic, type Notes } from '../common/found';

/** A line as a file has it: sounding notes and silences in beats. */
export interface SoundingLine {
  readonly name: string;
  /** How far below the treble the part is written and sung: 0 or −12. */
  readonly octave: Semitones;
  readonly events: readonly SoundingEvent[];
}

export interface SoundingEvent {
  readonly midi: MidiNote | null;
  readonly beats: number;
  readonly syllable?: string | undefined;
  readonly slur?: boolean | undefined;
  readonly breathAfter?: boolean | undefined;
  readonly dynamic?: Dynamic | undefined;
  readonly swell?: Swell | undefined;
}

/** The tonic's octave when a file does not say it: the lowest note lies from a fourth below it to a tritone above. */
export function likelyTonic(pitchClass: number, lowest: MidiNote): MidiNote {
  const above = (((lowest + 5 - pitchClass) % 12) + 12) % 12;
  return lowest + 5 - above;
}

/** Lengths from ticks and fractions: whole multiples of a 96th, exact in our own arithmetic. */
export function exactBeats(beats: number): number {
  for (const parts of [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 48, 96]) {
    const whole = Math.round(beats * parts);
    if (Math.abs(beats * parts - whole) < 1e-6 * parts) return whole / parts;
  }
  return Math.round(beats * 96) / 96;
}

const sameEvents = (a: readonly PatternEvent[], b: readonly PatternEvent[]): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

/** The lines over their tonic: one becomes a line for all, several a line for each part. */
export function musicOf(
  lines: readonly SoundingLine[],
  {
    mode,
    metre,
    tonic,
    notKept,
  }: {
    readonly mode: Mode;
    readonly metre: Metre | undefined;
    readonly tonic: MidiNote;
    readonly notKept: Notes;
  },
): Exclude<FoundMusic['music'], { kind: 'glide' }> {
  const sounding = lines.filter(({ events }) => events.some(({ midi }) => midi !== null));
  if (sounding.length === 0) refuse('There is no note in this file. Choose a file with a melody.');
  if (sounding.length > mostLines) {
    notKept.add('', `Only the first ${mostLines} of ${sounding.length} parts are read.`);
  }
  const over = sounding.slice(0, mostLines).map(({ events, octave, name }) => {
    if (events.length > mostNotesRead) {
      refuse(
        `${name} has ${events.length} notes and rests; an exercise has at most ${mostNotesRead}. Cut a few bars out of the file first.`,
      );
    }
    return events.map(({ midi, ...event }): PatternEvent => {
      if (midi === null) return { rest: true, beats: event.beats };
      return { offset: midi - octave - tonic, ...event };
    });
  });
  for (const line of over) {
    for (const event of line) {
      if (isNote(event) && Math.abs(event.offset) > 48) {
        refuse('A note lies more than four octaves away from the tonic; no voice sings that.');
      }
    }
  }
  const [first, ...others] = over;
  const timed = metre ? { metre } : {};
  if (others.every((line) => sameEvents(line, first!))) {
    return { kind: 'pattern', mode, ...timed, notes: first! };
  }
  // Lines of a part stay equally long.
  const longest = Math.max(...over.map(beatsOfEvents));
  const filled = over.map((line) => {
    const missing = exactBeats(longest - beatsOfEvents(line));
    return missing > 0 ? [...line, { rest: true as const, beats: missing }] : line;
  });
  return { kind: 'lines', mode, ...timed, lines: filled };
}
