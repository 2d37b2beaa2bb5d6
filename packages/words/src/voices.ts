import {
  noteName,
  type NoteWriting,
  type PitchRange,
  type LimitsProblem,
  type PartName,
  type PartFit,
} from '@wide-fern/core';
import { counted, listInWords } from './counting';

const notes = (count: number): string => (count === 1 ? 'note' : counted(count, 'note', 'notes'));

/** Why a part is possible: «as alto: all but the six lowest notes, A3 to D4». */
export function partFitInWords(
  { missing, shared }: PartFit,
  { one, comfort }: PartName & { readonly comfort: PitchRange },
  writing?: NoteWriting,
): string {
  const name = (note: number) => noteName(note, writing);
  if (shared === 0) return `as ${one}: no note of the part’s usual comfort`;
  const lacks = [
    ...(missing.bottom > 0
      ? [`the ${notes(missing.bottom)} below ${name(comfort[0] + missing.bottom)}`]
      : []),
    ...(missing.top > 0
      ? [`the ${notes(missing.top)} above ${name(comfort[1] - missing.top)}`]
      : []),
  ];
  const all = `${name(comfort[0])} to ${name(comfort[1])}`;
  if (lacks.length === 0) return `as ${one}: every note of the part’s usual comfort, ${all}`;
  return `as ${one}: all of ${all} but ${lacks.join(' and ')}`;
}

/** «without Noor and Dorit»: names in a sentence, most of them counted when there are many. */
export const withoutInWords = (names: readonly string[]): string =>
  names.length <= 3 ? `without ${listInWords(names)}` : `without ${names.length} singers`;

/** What is wrong with a limit, and what to do: «C5 lies above G4; the lowest easy note comes first.» */
export function limitsProblemInWords(
  problem: LimitsProblem,
  { many }: Pick<PartName, 'many'>,
  writing?: NoteWriting,
): string {
  const note = noteName(problem.note, writing);
  if (problem.code === 'light-top') {
    return `${note} is no usual top of a light register for ${many}. Check the octave.`;
  }
  const against = noteName(problem.against, writing);
  switch (problem.code) {
    case 'comfort-upside-down':
      return `${note} lies above ${against}; the lowest easy note comes first.`;
    case 'reach-above-comfort':
      return `The reach begins at ${note}, above the lowest easy note ${against}; it goes at least as low.`;
    case 'reach-below-comfort':
      return `The reach ends at ${note}, below the highest easy note ${against}; it goes at least as high.`;
    case 'octave-above':
      return `${note} is more than an octave above what ${many} usually reach (${against}). Check the octave.`;
    case 'octave-below':
      return `${note} is more than an octave below what ${many} usually reach (${against}). Check the octave.`;
  }
}
