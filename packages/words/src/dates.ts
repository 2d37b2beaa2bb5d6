type Moment = Date | number | string;

const format = (moment: Moment, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat('en-GB', options).format(new Date(moment)).replace(',', '');

const dayAndMonth = { day: 'numeric', month: 'short' } as const;
const day = { weekday: 'short', ...dayAndMonth } as const;

/** A moment's day where the choir is: «Tue 1 Dec». */
export const dayInWords = (moment: Moment, timeZone: string): string =>
  format(moment, { ...day, timeZone });

/** The same where there is little room: «1 Dec». */
export const shortDay = (moment: Moment, timeZone: string): string =>
  format(moment, { ...dayAndMonth, timeZone });

/** The same with its year: «1 Dec 2026». */
export const dayOfYear = (moment: Moment, timeZone: string): string =>
  format(moment, { ...dayAndMonth, year: 'numeric', timeZone });

/** A moment that may be years ago: «1 Dec 2026 19:40». */
export const momentOfYear = (moment: Moment, timeZone: string): string =>
  format(moment, {
    ...dayAndMonth,
    year: 'numeric',
    ...{ timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  });

/** A moment where the choir is: «Tue 1 Dec 19:40». */
export const momentInWords = (moment: Moment, timeZone: string): string =>
  format(moment, { ...day, timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** A date without a place, «2026-12-01», as a moment that has this date in UTC. */
const noon = (date: string): string => `${date}T12:00:00Z`;

/** «1 Dec» for «2026-12-01». */
export const dateInWords = (date: string): string => shortDay(noon(date), 'UTC');

/** «1 Dec 2026» for «2026-12-01». */
export const datedInWords = (date: string): string => dayOfYear(noon(date), 'UTC');
