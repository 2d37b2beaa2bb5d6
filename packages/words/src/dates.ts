const format = (moment: Date | number | string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat('en-GB', options).format(new Date(moment)).replace(',', '');

const day = { weekday: 'short', day: 'numeric', month: 'short' } as const;

/** A moment's day where the choir is: «Tue 1 Dec». */
export const dayInWords = (moment: Date | number | string, timeZone: string): string =>
  format(moment, { ...day, timeZone });

/** A moment where the choir is: «Tue 1 Dec 19:40». */
export const momentInWords = (moment: Date | number | string, timeZone: string): string =>
  format(moment, { ...day, timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
