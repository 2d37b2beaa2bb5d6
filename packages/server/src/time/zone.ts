import { TZDate } from '@date-fns/tz';
import { addDays, format } from 'date-fns';

/** The moment of a local date («2026-12-01») and time («19:30») in a time zone. */
export function momentOf(date: string, time: string, timeZone: string): Date {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return new Date(new TZDate(year, month - 1, day, hour, minute, timeZone).getTime());
}

/** The local date of a moment in a time zone: «2026-12-01». */
export const dateIn = (moment: Date, timeZone: string): string =>
  format(new TZDate(moment.getTime(), timeZone), 'yyyy-MM-dd');

/** The local time of a moment in a time zone: «19:30». */
export const timeIn = (moment: Date, timeZone: string): string =>
  format(new TZDate(moment.getTime(), timeZone), 'HH:mm');

/** The same local time so many days later, over a change of summer time too. */
export const daysLater = (moment: Date, days: number, timeZone: string): Date =>
  new Date(addDays(new TZDate(moment.getTime(), timeZone), days).getTime());

/** A local date so many days later. */
export const dateLater = (date: string, days: number): string =>
  format(addDays(new Date(`${date}T12:00:00`), days), 'yyyy-MM-dd');
