import { spellInKey, spellKey, writeNote, type AccidentalPreference, type Mode } from '../pitch';
import {
  beatsToSeconds,
  type Beats,
  type BeatsPerMinute,
  type MidiNote,
  type Seconds,
  type Semitones,
} from '../units';

/** A note over the tonic, or a rest, with its length. */
export interface WrittenNote {
  /** Null for a rest. */
  readonly offset: Semitones | null;
  readonly beats: Beats;
  readonly syllable?: string | undefined;
}

/** Where and how notes are sung. */
export interface SungIn {
  readonly tempo: BeatsPerMinute;
  readonly mode: Mode;
  /** Where the tonic is given. */
  readonly tonic: MidiNote;
  /** How far from it the part sings: 0, or −12 for an octave below. */
  readonly octave: Semitones;
  readonly accidentals?: AccidentalPreference | undefined;
}

/** A note as it sounds: its pitch, its name in the tonic's key, when it begins, and for how long. */
export interface SungNote {
  readonly midi: MidiNote;
  readonly name: string;
  readonly start: Seconds;
  readonly seconds: Seconds;
  readonly syllable?: string;
}

/** Written notes as they are sung in one key; rests pass in silence (docs/model.md, sections 1 and 3). */
export function sungNotes(notes: readonly WrittenNote[], where: SungIn): SungNote[] {
  const { tempo, mode, tonic, octave, accidentals } = where;
  const key = spellKey(tonic, mode, accidentals);
  let beat: Beats = 0;
  return notes.flatMap(({ offset, beats, syllable }): SungNote[] => {
    const start = beatsToSeconds(beat, tempo);
    beat += beats;
    if (offset === null) return [];
    const midi = tonic + octave + offset;
    return [
      {
        midi,
        name: writeNote(spellInKey(midi, tonic, key)),
        start,
        seconds: beatsToSeconds(beats, tempo),
        ...(syllable === undefined ? {} : { syllable }),
      },
    ];
  });
}
