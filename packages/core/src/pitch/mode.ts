import type { Semitones } from '../units';

/**
 * The modes an exercise can be in: the scale's steps above the tonic, and how many fifths its
 * signature lies from the major one on the same tonic. A chromatic one is written as major.
 */
export const modes = {
  major: { scale: [0, 2, 4, 5, 7, 9, 11], fifths: 0 },
  minor: { scale: [0, 2, 3, 5, 7, 8, 10], fifths: -3 },
  dorian: { scale: [0, 2, 3, 5, 7, 9, 10], fifths: -2 },
  phrygian: { scale: [0, 1, 3, 5, 7, 8, 10], fifths: -4 },
  lydian: { scale: [0, 2, 4, 6, 7, 9, 11], fifths: 1 },
  mixolydian: { scale: [0, 2, 4, 5, 7, 9, 10], fifths: -1 },
  chromatic: { scale: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11], fifths: 0 },
} as const satisfies Record<string, { scale: readonly Semitones[]; fifths: number }>;

export type Mode = keyof typeof modes;
export const modeNames = Object.keys(modes) as readonly Mode[];
