import type { MidiNote, Seconds, Semitones } from '../units';
import type { Fit } from './fit';

/** What one part does in one key, placed in time from the segment's start. */
export type Sounding =
  | { readonly part: string; readonly does: 'rest' }
  /** Sings on the own easy note; the fit is the whole comfort. */
  | { readonly part: string; readonly does: 'own'; readonly fit: Fit }
  | {
      readonly part: string;
      readonly does: 'sing';
      readonly fit: Fit;
      /** Where the tonic lies for this part; for a chord, its note. */
      readonly tonic: MidiNote;
      /** Semitones away from the usual octave; 0 as usual. */
      readonly away: Semitones;
      /** Holds one note, wherever it lies best. */
      readonly holds?: true;
      /** Holds the key's note in place of what it sings else. */
      readonly told?: 'hold';
    };

export interface Repetition {
  readonly at: Seconds;
  readonly seconds: Seconds;
  /** The tonic in the treble octave; undefined for what has no pitch. */
  readonly tonic: MidiNote | undefined;
  readonly parts: readonly Sounding[];
}
