import { noteName, type NoteWriting, type PartNeed } from '@wide-fern/core';

/** «Reaches the F5 that “Lanterns over Slate” needs.» */
export const needMetInWords = ({ highest, highestIn }: PartNeed, writing: NoteWriting): string =>
  `Reaches the ${noteName(highest, writing)} that “${highestIn}” needs.`;
