import type { PitchRange, Semitones } from '../units';

/** A voice part as the keys see it: what it can sing, and in which octave of the written tonic. */
export interface Section {
  readonly id: string;
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  /** The usual octave against the treble tonic: 0 for sopranos and altos, −12 for tenors and basses. */
  readonly octave: Semitones;
}

/** How a part is called in a sentence. */
export interface PartName {
  readonly one: string;
  readonly many: string;
}

/**
 * The parts of a mixed choir and their usual figures, for a section with no singers on record.
 * Comfort and reach of an amateur section; an estimate for comparing, never a rule for a person.
 */
export const mixedChoir: readonly (Section & PartName)[] = [
  { id: 'S', one: 'soprano', many: 'sopranos', comfort: [62, 79], reach: [59, 81], octave: 0 },
  { id: 'A', one: 'alto', many: 'altos', comfort: [57, 74], reach: [53, 76], octave: 0 },
  { id: 'T', one: 'tenor', many: 'tenors', comfort: [50, 67], reach: [47, 69], octave: -12 },
  { id: 'B', one: 'bass', many: 'basses', comfort: [43, 62], reach: [40, 64], octave: -12 },
];

/** The name of a part in a sentence; one that is not known is called by its letters. */
export function partName(id: string): PartName {
  return mixedChoir.find((part) => part.id === id) ?? { one: `part ${id}`, many: `the part ${id}` };
}

/** «sopranos», «sopranos and tenors», «altos, tenors and basses». */
export function listInWords(words: readonly string[]): string {
  if (words.length <= 1) return words[0] ?? '';
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}
