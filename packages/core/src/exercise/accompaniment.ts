import { modes, type Mode } from '../pitch';
import type { Beats, MidiNote, Semitones } from '../units';

/** A chord of the instrument, over the tonic. */
export interface HeldChord {
  readonly beats: Beats;
  /** From the lowest. */
  readonly tones: readonly Semitones[];
}

/** What the instrument plays under each key: one sound held throughout, or chords one after the other (docs/model.md, section 3). */
export type Accompaniment =
  | { readonly kind: 'drone'; readonly tones: readonly Semitones[] }
  | { readonly kind: 'chords'; readonly chords: readonly HeldChord[] };

/** Where an instrument holds a tonic: in the octave around the C below middle C. */
const lowest: MidiNote = 43;

/** The tonic where the instrument plays it: G2 to F♯3. */
const underTonic = (tonic: MidiNote): MidiNote => lowest + ((((tonic - lowest) % 12) + 12) % 12);

/** What sounds under one key: notes from the lowest, and for how long. */
export interface UnderKey {
  readonly midis: readonly MidiNote[];
  readonly beats: Beats;
}

/**
 * What the instrument plays under one pass in a key, as long as the pass: chords begin again where they
 * are shorter, and the last one is cut off where they are longer.
 */
export function accompanying(
  accompaniment: Accompaniment,
  tonic: MidiNote,
  beats: Beats,
): readonly UnderKey[] {
  const root = underTonic(tonic);
  const notes = (tones: readonly Semitones[]) => tones.map((tone) => root + tone);
  if (accompaniment.kind === 'drone') {
    return [{ midis: notes(accompaniment.tones), beats }];
  }
  const { chords } = accompaniment;
  const played: UnderKey[] = [];
  let left = beats;
  for (let i = 0; left > 1e-9; i += 1) {
    const chord = chords[i % chords.length]!;
    const here = Math.min(left, chord.beats);
    played.push({ midis: notes(chord.tones), beats: here });
    left -= here;
  }
  return played;
}

/** The triad of a mode over its tonic, with the octave: what an instrument holds where nothing else is said. */
export function triad(mode: Mode): readonly Semitones[] {
  const { scale } = modes[mode === 'chromatic' ? 'major' : mode];
  return [0, scale[2], scale[4], 12];
}
