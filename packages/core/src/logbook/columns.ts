/** What a logbook puts into one column. */
export const logSpans = ['week', 'month', 'year'] as const;
export type LogSpan = (typeof logSpans)[number];

const day = 24 * 60 * 60_000;
const dateOf = (moment: number): string => new Date(moment).toISOString().slice(0, 10);

/** The first day of the week, from Monday, of the month or of the year that a day lies in: «2026-11-30». */
export function columnOf(date: string, span: LogSpan): string {
  if (span === 'year') return `${date.slice(0, 4)}-01-01`;
  if (span === 'month') return `${date.slice(0, 7)}-01`;
  const at = Date.parse(`${date}T00:00:00Z`);
  // 1 January 1970 was a Thursday.
  const sinceMonday = (Math.floor(at / day) + 3) % 7;
  return dateOf(at - sinceMonday * day);
}

/** The column before another one. */
export function columnBefore(column: string, span: LogSpan): string {
  return columnOf(dateOf(Date.parse(`${column}T00:00:00Z`) - day), span);
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
  Math.floor((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / (7 * day));
