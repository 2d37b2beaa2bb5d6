import { addDays, format, getDaysInMonth } from 'date-fns';

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const noon = (date: string): Date => new Date(`${date}T12:00:00`);

/** Whether a text is a date as it is stored: «2026-12-01». */
export const isDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(noon(text).getTime());

/** Whether a text is a time of day as it is stored: «19:30». */
export const isClock = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text);

/** A date as it is shown: «Tue 1 Dec 2026»; anything else as it stands. */
export const showDate = (date: string): string =>
  isDate(date) ? format(noon(date), 'EEE d MMM yyyy') : date;

/** A date so many days later. */
export const daysAfter = (date: string, days: number): string =>
  format(addDays(noon(date), days), 'yyyy-MM-dd');

/** A date from its parts; undefined where no calendar has it. */
function dateOf(year: number, month: number, day: number): string | undefined {
  if (!(year >= 1900 && year <= 2200 && month >= 1 && month <= 12 && day >= 1)) return undefined;
  if (day > getDaysInMonth(new Date(year, month - 1, 1))) return undefined;
  return [String(year), ...[month, day].map((one) => String(one).padStart(2, '0'))].join('-');
}

/** The year a date without one is meant in: the nearest to come, or the last month's. */
function nearest(month: number, day: number, today: string): string | undefined {
  const year = Number(today.slice(0, 4));
  const early = daysAfter(today, -31);
  return [year, year + 1, year - 1]
    .map((one) => dateOf(one, month, day))
    .find((one) => one !== undefined && one >= early);
}

/**
 * Reads a date as people type it, the day before the month: «1 Dec», «Tue 1 December 2026», «1.12.»,
 * «1/12/26», «2026-12-01».
 * @param today «2026-11-28», for what is typed without a year
 * @returns as it is stored; undefined for what is no date
 */
export function readDate(text: string, today: string): string | undefined {
  const plain = text.trim().toLowerCase();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(plain);
  if (iso) return dateOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const [, day, number, word, written] =
    /^(?:[a-z]+,? +)?(\d{1,2})(?:st|nd|rd|th)?(?:[./ -]+(\d{1,2})| +([a-z]{3,}))[./ ,-]*(\d{4}|\d{2})?$/.exec(
      plain,
    ) ?? [];
  if (day === undefined) return undefined;
  const month = word === undefined ? Number(number) : months.indexOf(word.slice(0, 3)) + 1;
  if (written === undefined) return nearest(month, Number(day), today);
  return dateOf(
    written.length === 2 ? 2000 + Number(written) : Number(written),
    month,
    Number(day),
  );
}

/**
 * Reads a clock time as people type it: «19:30», «1930», «19.30», «19 h», «7:30 pm».
 * @returns «19:30»; undefined for what is no time
 */
export function readClock(text: string): string | undefined {
  const [, hours, minutes = '0', half] =
    /^(\d{1,2})(?:[:.h ]?(\d{2}))? ?(?:h|uhr)? ?([ap]\.?m\.?)?$/.exec(text.trim().toLowerCase()) ??
    [];
  if (hours === undefined) return undefined;
  let hour = Number(hours);
  if (half) {
    if (hour < 1 || hour > 12) return undefined;
    hour = (hour % 12) + (half.startsWith('p') ? 12 : 0);
  }
  if (hour > 23 || Number(minutes) > 59) return undefined;
  return `${String(hour).padStart(2, '0')}:${minutes.padStart(2, '0')}`;
}
