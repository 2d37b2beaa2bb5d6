/** The pitch class of a note, 0 to 11. */
export const pitchClass = (note: number): number => ((note % 12) + 12) % 12;
