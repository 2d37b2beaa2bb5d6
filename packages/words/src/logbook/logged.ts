import type { Logbook, Logged } from '@wide-fern/contract';
import { tonicName, type LogSpan, type NoteWriting } from '@wide-fern/core';
import { dateInWords } from '../dates';
import { managedWords } from '../run/touch';

/** What a column is called: «week from 12 Oct», «Oct 2026», «2026». */
export function columnInWords(column: string, span: LogSpan): string {
  if (span === 'year') return column.slice(0, 4);
  const date = dateInWords(column);
  return span === 'month' ? `${monthOf(date)} ${column.slice(0, 4)}` : `week from ${date}`;
}

/** The same above it: «12 Oct», «Oct», and the year with January. */
export function columnHeading(column: string, span: LogSpan): string {
  if (span === 'week') return dateInWords(column);
  const isPlain = span === 'month' && !column.startsWith('01', 5);
  return isPlain ? monthOf(dateInWords(column)) : columnInWords(column, span);
}
const monthOf = (date: string): string => date.replace(/^\d+ /, '');

/** What else is known of an exercise that was led: «up to E♭, most managed». */
export function loggedInWords(
  { top, managed }: Pick<Logged, 'top' | 'managed'>,
  writing: NoteWriting,
): string {
  return [
    ...(top === null ? [] : [`up to ${tonicName(top, 'major', writing)}`]),
    ...(managed === null ? [] : [managedWords[managed]]),
  ].join(', ');
}

export const loggedHeadings = [
  'evening',
  'exercise',
  'kind of work',
  'skills',
  'seconds sung or done',
  'seconds of talk',
  'highest key (MIDI)',
  'managed by',
] as const;

/** The same as rows of a table: one for each exercise that was led, in the order of time. */
export function loggedCells(
  { runs, led }: Logbook,
  dayOf: (moment: string) => string,
): (string | number)[][] {
  const days = new Map(runs.map(({ id, startedAt }) => [id, dayOf(startedAt)]));
  return led.map(({ run, name, phase, purposes, singing, talk, top, managed }) => [
    days.get(run) ?? '',
    name,
    phase,
    purposes.join(', '),
    Math.round(singing),
    Math.round(talk),
    top ?? '',
    managed ?? '',
  ]);
}
