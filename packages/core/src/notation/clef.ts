import type { MidiNote, Semitones } from '../units';

/** What a part reads from; the octave clef sounds an octave below what it shows. */
export type Clef = 'treble' | 'octave-treble' | 'bass';

/** Written, not sounding: how far a clef shows a note above where it sounds. */
export const clefShift = (clef: Clef): Semitones => (clef === 'octave-treble' ? 12 : 0);

/**
 * The clef a part reads from: treble for who sings at the written pitch, the bass clef for low
 * voices an octave below, and for those whose middle lies higher the treble that sounds an octave
 * lower.
 */
export function clefOfPart({
  octave,
  comfort: [low, high],
}: {
  readonly octave: Semitones;
  readonly comfort: readonly [MidiNote, MidiNote];
}): Clef {
  if (octave >= 0) return 'treble';
  return (low + high) / 2 >= 56 ? 'octave-treble' : 'bass';
}
