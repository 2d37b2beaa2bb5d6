import type { EveningSummary } from '@wide-fern/contract';

/** Gives the local date of a moment in a zone: «2026-12-01». Made once: a browser takes its time over the first. */
export const localDates = (timeZone: string) => {
  const format = new Intl.DateTimeFormat('en-CA', { timeZone });
  return (moment: string | number): string => format.format(new Date(moment));
};

/** The evening that is on or comes next; undefined when all have passed. */
export const nextEvening = (
  evenings: readonly EveningSummary[],
  now: number,
): EveningSummary | undefined => evenings.find(({ endsAt }) => Date.parse(endsAt) > now);

/** As many evenings as a row has room for, around the given one, and whether there are more on either side. */
export function around(
  evenings: readonly EveningSummary[],
  middle: number,
  room: number,
): { row: readonly EveningSummary[]; before: boolean; after: boolean } {
  const most = Math.max(1, room);
  const from = Math.min(
    Math.max(0, middle - Math.floor(most / 2)),
    Math.max(0, evenings.length - most),
  );
  return {
    row: evenings.slice(from, from + most),
    before: from > 0,
    after: from + most < evenings.length,
  };
}
