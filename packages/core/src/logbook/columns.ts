/** What a logbook puts into one column. */
export const logSpans = ['week', 'month', 'year'] as const;
export type LogSpan = (typeof logSpans)[number];

/** The day before 1 March of the year 0, counted as days are counted here. */
const toMarch0 = 719_468;

/**
 * A day of the calendar as a count from 1 January 1970 on, and back: years begin in March, so that the day
 * that comes every fourth year is the last of its year.
 */
export function dayNumber(date: string): number {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - 400 * era;
  const dayOfYear = Math.floor((153 * ((month + 9) % 12) + 2) / 5) + day - 1;
  const leapDays = Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100);
  return 146_097 * era + 365 * yearOfEra + leapDays + dayOfYear - toMarch0;
}

export function dateOfDay(number: number): string {
  const z = number + toMarch0;
  const era = Math.floor(z / 146_097);
  const dayOfEra = z - 146_097 * era;
  const leapDays =
    Math.floor(dayOfEra / 1460) - Math.floor(dayOfEra / 36_524) + Math.floor(dayOfEra / 146_096);
  const yearOfEra = Math.floor((dayOfEra - leapDays) / 365);
  const dayOfYear =
    dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const fromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const day = dayOfYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = ((fromMarch + 2) % 12) + 1;
  const year = yearOfEra + 400 * era + (month <= 2 ? 1 : 0);
  return [
    String(year).padStart(4, '0'),
    ...[month, day].map((n) => String(n).padStart(2, '0')),
  ].join('-');
}

/** The first day of the week, from Monday, of the month or of the year that a day lies in: «2026-11-30». */
export function columnOf(date: string, span: LogSpan): string {
  if (span === 'year') return `${date.slice(0, 4)}-01-01`;
  if (span === 'month') return `${date.slice(0, 7)}-01`;
  const day = dayNumber(date);
  // 1 January 1970 was a Thursday.
  const sinceMonday = (((day + 3) % 7) + 7) % 7;
  return dateOfDay(day - sinceMonday);
}

/** The column before another one. */
function columnBefore(column: string, span: LogSpan): string {
  return columnOf(dateOfDay(dayNumber(column) - 1), span);
}

/** So many columns in order, the last one being that of a day. */
export function columnsUntil(date: string, count: number, span: LogSpan): string[] {
  const columns: string[] = [];
  let column = columnOf(date, span);
  for (let i = 0; i < count; i += 1) {
    columns.unshift(column);
    column = columnBefore(column, span);
  }
  return columns;
}

/** Whole weeks between two days, the earlier one first. */
export const weeksBetween = (from: string, to: string): number =>
  Math.floor((dayNumber(to) - dayNumber(from)) / 7);
