import type { PitchRange, Semitones } from '../units';

/** A voice part as the keys see it: what it can sing, and in which octave of the written tonic. */
export interface Voice {
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

/** The end of its range by which a part is told from its neighbours. */
export const rangeEnds = ['top', 'bottom'] as const;
export type RangeEnd = (typeof rangeEnds)[number];

/** The usual octaves a part can have against the treble tonic. */
export const octaveSteps = [12, 0, -12, -24] as const;
export type OctaveStep = (typeof octaveSteps)[number];

/** A part of a choir, with the figures it has while nobody is on record. */
export interface ChoirPart extends Voice, PartName {
  readonly octave: OctaveStep;
  /** The telling end, when a part is suggested for a singer. */
  readonly end: RangeEnd;
  /** Where the change of register usually lies; a zone to mark, never a rule. */
  readonly change: PitchRange;
}

/**
 * The parts of a mixed choir and their usual figures, for a section with no singers on record.
 * Comfort and reach of an amateur section; an estimate for comparing, never a rule for a person.
 * Changes of register after Miller, The Structure of Singing (1986), rounded.
 */
export const mixedChoir: readonly ChoirPart[] = [
  {
    id: 'S',
    one: 'soprano',
    many: 'sopranos',
    comfort: [62, 79],
    reach: [59, 81],
    octave: 0,
    end: 'top',
    change: [76, 78],
  },
  {
    id: 'A',
    one: 'alto',
    many: 'altos',
    comfort: [57, 74],
    reach: [53, 76],
    octave: 0,
    end: 'bottom',
    change: [65, 76],
  },
  {
    id: 'T',
    one: 'tenor',
    many: 'tenors',
    comfort: [50, 67],
    reach: [47, 69],
    octave: -12,
    end: 'top',
    change: [62, 67],
  },
  {
    id: 'B',
    one: 'bass',
    many: 'basses',
    comfort: [43, 62],
    reach: [40, 64],
    octave: -12,
    end: 'bottom',
    change: [57, 62],
  },
];
