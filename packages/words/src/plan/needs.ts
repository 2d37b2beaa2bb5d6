import { noteName, type AccidentalPreference, type PartNeed } from '@wide-fern/core';

/** «Reaches the F5 that “Lanterns over Slate” needs.» */
export const needMetInWords = (
  { highest, highestIn }: PartNeed,
  accidentals: AccidentalPreference,
): string => `Reaches the ${noteName(highest, accidentals)} that “${highestIn}” needs.`;
