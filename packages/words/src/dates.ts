import type { ClockKind } from '@wide-fern/contract';

type Moment = Date | number | string;

/** A time of day as a choir has it shown: «19:30», or «7:30 pm». */
export function clockInWords(time: string, kind: ClockKind): string {
  if (kind === '24') return time;
  const [hour = 0] = time.split(':').map(Number);
  return `${hour % 12 || 12}${time.slice(2)} ${hour < 12 ? 'am' : 'pm'}`;
}

/** The same on a drawn clock, where its half of the day is plain: «7:30». */
export const clockDrawn = (time: string, kind: ClockKind): string =>
  clockInWords(time, kind).replace(/ [ap]m$/, '');

/** Made once for each kind of words and zone: that takes longer than to use it. */
const formats = new Map<string, Intl.DateTimeFormat>();

function formatFor(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify(options);
  const known = formats.get(key) ?? new Intl.DateTimeFormat('en-GB', options);
  formats.set(key, known);
  return known;
}

const format = (moment: Moment, options: Intl.DateTimeFormatOptions): string =>
  formatFor(options).format(new Date(moment)).replace(',', '');

const dayAndMonth = { day: 'numeric', month: 'short' } as const;
const day = { weekday: 'short', ...dayAndMonth } as const;

/** A moment's day where the choir is: «Tue 1 Dec». */
export const dayInWords = (moment: Moment, timeZone: string): string =>
  format(moment, { ...day, timeZone });

/** The day of the week by its name: «Tuesday». */
export const weekdayName = (moment: Moment, timeZone: string): string =>
  format(moment, { weekday: 'long', timeZone });

/** The same where there is little room: «1 Dec». */
export const shortDay = (moment: Moment, timeZone: string): string =>
  format(moment, { ...dayAndMonth, timeZone });

/** The same with its year: «1 Dec 2026». */
export const dayOfYear = (moment: Moment, timeZone: string): string =>
  format(moment, { ...dayAndMonth, year: 'numeric', timeZone });

const timeOf = (moment: Moment, timeZone: string, kind: ClockKind): string =>
  clockInWords(
    format(moment, { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }),
    kind,
  );

/** A moment that may be years ago: «1 Dec 2026 19:40». */
export const momentOfYear = (moment: Moment, timeZone: string, kind: ClockKind = '24'): string =>
  `${dayOfYear(moment, timeZone)} ${timeOf(moment, timeZone, kind)}`;

/** A moment where the choir is: «Tue 1 Dec 19:40». */
export const momentInWords = (moment: Moment, timeZone: string, kind: ClockKind = '24'): string =>
  `${dayInWords(moment, timeZone)} ${timeOf(moment, timeZone, kind)}`;

/** A date without a place, «2026-12-01», as a moment that has this date in UTC. */
const noon = (date: string): string => `${date}T12:00:00Z`;

/** «1 Dec» for «2026-12-01». */
export const dateInWords = (date: string): string => shortDay(noon(date), 'UTC');

/** «1 Dec 2026» for «2026-12-01». */
export const datedInWords = (date: string): string => dayOfYear(noon(date), 'UTC');
