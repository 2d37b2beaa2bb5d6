import { mostDates, type Template, type Evening, type StoreEvening } from '@wide-fern/contract';
import type { CalendarEvent, FoundDate } from '@wide-fern/interchange/calendar';
import { localOf, newItem } from './typed';

/** What is not said in a calendar and has to come from elsewhere. */
export interface Unsaid {
  /** The agenda the evenings go like, if one was chosen. */
  readonly like: Template | undefined;
  readonly start: string;
  readonly end: string;
}

/** A date of a calendar beside the evenings there are. */
export interface DateRow extends FoundDate {
  /** Its place in the calendar. */
  readonly at: number;
  readonly begins: string;
  readonly ends: string;
  /** An evening begins then already. */
  readonly isHere: boolean;
  /** It is to be stored. */
  readonly isTaken: boolean;
}

/**
 * The dates of a calendar as they would be stored: with their clocks, and without those that are
 * here already or were left out.
 * @param leftOut places in the calendar
 */
export function dateRows(
  dates: readonly FoundDate[],
  evenings: readonly Pick<Evening, 'startsAt'>[],
  timeZone: string,
  { like, start, end }: Unsaid,
  leftOut: ReadonlySet<number>,
): DateRow[] {
  const taken = new Set(
    evenings.map(({ startsAt }) => {
      const { date, time } = localOf(new Date(startsAt), timeZone);
      return `${date} ${time}`;
    }),
  );
  return dates.map((one, at) => {
    const begins = one.start ?? like?.start ?? start;
    const isHere = taken.has(`${one.date} ${begins}`);
    return {
      ...one,
      at,
      begins,
      ends: one.end ?? like?.end ?? end,
      isHere,
      isTaken: !isHere && !leftOut.has(at),
    };
  });
}

/** The evenings the taken dates become, as many as are stored at once. */
export function eveningsOf(
  rows: readonly DateRow[],
  like: Template | undefined,
  choirName: string,
): StoreEvening[] {
  return rows
    .filter(({ isTaken }) => isTaken)
    .slice(0, mostDates * 2)
    .map((row) => ({
      name: row.name || null,
      date: row.date,
      start: row.begins,
      end: row.ends,
      place: (row.place || like?.place) ?? choirName,
      occasion: like?.occasion ?? 'evening after work',
      forbids: like?.forbids ?? [],
      agenda: like?.agenda ?? [newItem([], 'warm-up')],
    }));
}

/** The evenings as a calendar's events; one without a name is the choir's rehearsal. */
export const calendarEvents = (
  evenings: readonly Pick<Evening, 'id' | 'name' | 'startsAt' | 'endsAt' | 'place'>[],
  choirName: string,
): CalendarEvent[] =>
  evenings.map(({ id, name, startsAt, endsAt, place }) => ({
    id,
    name: name ?? `${choirName}: rehearsal`,
    startsAt: new Date(startsAt),
    endsAt: new Date(endsAt),
    place,
    description: '',
  }));
