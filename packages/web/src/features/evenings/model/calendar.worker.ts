/** Reads a calendar away from the page's own thread: a rule can be written that never ends. */
import {
  readCalendar,
  UnreadableFile,
  type FoundDates,
  type ReadingOf,
} from '@wide-fern/interchange/calendar';
import { expose } from 'comlink';

/** A calendar's dates, or why it cannot be read, in words. */
export type CalendarReading =
  | { readonly kind: 'read'; readonly dates: FoundDates }
  | { readonly kind: 'refused'; readonly message: string };

const api = {
  /** Answers once the worker has been fetched: only now does the time run that a file may take. */
  ready: () => true,
  read: (text: string, reading: ReadingOf): CalendarReading => {
    try {
      return { kind: 'read', dates: readCalendar(text, reading) };
    } catch (error) {
      const message =
        error instanceof UnreadableFile ? error.message : 'This calendar could not be read.';
      return { kind: 'refused', message };
    }
  },
};
export type CalendarApi = typeof api;
expose(api);
