import { counted, capitalise, formFor } from '../counting';

/** «this one» */
export const intoWords = (chosen: number): string =>
  chosen === 1 ? 'this one' : `the ${counted(chosen, 'segment', 'segments')} that are chosen`;

/** What became of segments that were to go into another warm-up of the evening. */
export function goneInWords(became: 'put' | 'full', segments: number, title: string): string {
  if (became === 'full') return `“${title}” has no room for so many segments. Nothing was moved.`;
  const many = capitalise(counted(segments, 'segment', 'segments'));
  const [stands, brings] = [
    formFor(segments, 'stands', 'stand'),
    formFor(segments, 'brings it back here; it stays', 'brings them back here; they stay'),
  ];
  return `${many} ${stands} at the end of “${title}” now. Undo ${brings} there too.`;
}
